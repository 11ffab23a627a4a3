import qrcode from 'qrcode-generator';
import { useState } from 'react';
import { Button } from './Button';

/** A link that was just made: its address and a code to point a phone at, shown this once. */
export function MadeLink({ address, again }: { address: string; again: () => void }) {
  const [copied, setCopied] = useState(false);
  const onlyHere = ['localhost', '127.0.0.1', '[::1]'].includes(location.hostname);
  return (
    <section className="space-y-3">
      <h2 className="text-xl font-bold">Point the phone at this, or send the address</h2>
      <QrCode text={address} />
      <p className="break-all font-mono text-sm">{address}</p>
      <p className="text-soft">It is shown this once. Send a PIN another way than the link.</p>
      {onlyHere && (
        <p className="font-semibold text-warn">
          ▲ This address works on this machine only. For phones, start Gradino with --host and --keystore (see the
          README).
        </p>
      )}
      <div className="flex gap-3">
        <Button
          look="main"
          onClick={() =>
            void navigator.clipboard?.writeText(address).then(
              () => setCopied(true),
              () => undefined,
            )
          }
        >
          {copied ? 'Copied' : 'Copy the address'}
        </Button>
        <Button onClick={again}>Another link</Button>
      </div>
    </section>
  );
}

/** Dark on light in either theme: cameras want it so. */
function QrCode({ text }: { text: string }) {
  const code = qrcode(0, 'M');
  code.addData(text);
  code.make();
  const size = code.getModuleCount();
  const cells = Array.from({ length: size * size }, (_, i) => [i % size, Math.floor(i / size)] as const);
  const dark = cells.filter(([x, y]) => code.isDark(y, x));
  return (
    <svg viewBox={`-4 -4 ${size + 8} ${size + 8}`} className="w-64" role="img" aria-label="The link as a code">
      <rect x={-4} y={-4} width={size + 8} height={size + 8} fill="#fff" />
      <path d={dark.map(([x, y]) => `M${x} ${y}h1v1h-1z`).join('')} fill="#000" />
    </svg>
  );
}
