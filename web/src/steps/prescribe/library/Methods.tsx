import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { useMethods } from '../../../shared/blocks/useForms';
import { words } from '../../../shared/units';

type Known = Schemas['KnownMethod'];

/** The schools, with what each says; copied and changed as a file, the studio keeps its own. */
export function Methods() {
  const methods = useMethods();
  const asked = useLocation().hash.slice(1);
  const [text, setText] = useState<string | null>(null);
  const copy = useMutation({ mutationFn: (id: string) => asText(id), onSuccess: (file) => setText(file) });
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Methods</h2>
      <Failure error={methods.error ?? copy.error} />
      <ul className="grid gap-x-8 gap-y-3 lg:grid-cols-2">
        {methods.data?.map((known) => (
          <li
            key={known.method.id}
            ref={known.method.id === asked ? (li) => li?.scrollIntoView({ block: 'center' }) : undefined}
            className="flex flex-col items-start justify-between sm:flex-row gap-4 border-t border-rule pt-2"
          >
            <MethodWords known={known} />
            <Button className="shrink-0 whitespace-nowrap" onClick={() => copy.mutate(known.method.id)}>
              {known.own ? 'Change' : 'Copy and change'}
            </Button>
          </li>
        ))}
      </ul>
      {text !== null && <MethodEditor key={text} start={text} close={() => setText(null)} />}
    </section>
  );
}

async function asText(id: string): Promise<string> {
  const response = await fetch(`/api/methods/${id}.csv`);
  if (!response.ok) throw new Error('This method cannot be read.');
  return response.text();
}

function MethodWords({ known }: { known: Known }) {
  const m = known.method;
  return (
    <div className="max-w-prose">
      <h3 className="font-semibold">
        {m.name} {known.own && <span className="font-normal text-soft">(ours)</span>}
      </h3>
      <p className="text-sm">{m.summary}</p>
      <p className="text-sm text-soft">
        {m.week.least === m.week.most ? m.week.usual : `${m.week.least} to ${m.week.most}`}× a week
        {m.spacing && `, ${m.spacing.usual} h apart`} · breath: {m.rules.breathWords} · cramp: {words(m.rules.cramp)} ·
        stretching: {m.rules.stretchingWords} · {m.source.text}
      </p>
      <p className="text-sm">
        <span className="font-semibold">Climbs by</span> {m.ladder.map((r) => r.words).join(' → ')}
      </p>
    </div>
  );
}

/** A method's rows as text: a row a number with its default, least, most and a newcomer's first value. */
function MethodEditor({ start, close }: { start: string; close: () => void }) {
  const queries = useQueryClient();
  const [text, setText] = useState(start);
  const save = useMutation({
    mutationFn: () => ask(api.POST('/api/methods', { body: { text } })),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['methods'] });
      close();
    },
  });
  const findings = findingsOf(save.error);
  return (
    <div className="mt-5 border-2 border-ink bg-card p-4">
      <h3 className="mb-1 font-semibold">A copy to change</h3>
      <p className="mb-2 max-w-prose text-sm text-soft">
        Give it another id in the first column and another name, then change values and ranges. A wrong row is named,
        and nothing typed is lost.
      </p>
      <label className="sr-only" htmlFor="method-text">
        Rows of the method
      </label>
      <textarea
        id="method-text"
        className="h-80 w-full border border-rule bg-paper p-2 font-mono text-sm text-ink"
        spellCheck={false}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      {findings.length > 0 && (
        <ul role="alert" className="my-2">
          {findings.map((f) => (
            <li key={f.path + f.code} className="font-semibold text-warn">
              ▲ {f.message}
            </li>
          ))}
        </ul>
      )}
      <Failure error={findings.length > 0 ? null : save.error} />
      <div className="mt-2 flex gap-2">
        <Button look="main" onClick={() => save.mutate()} disabled={save.isPending}>
          Save as ours
        </Button>
        <Button onClick={close}>Cancel</Button>
      </div>
    </div>
  );
}
