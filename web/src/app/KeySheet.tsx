import { Sheet } from '../shared/ui/Sheet';

const KEYS: [string, [string, string][]][] = [
  [
    'Everywhere',
    [
      ['?', 'this sheet'],
      ['/', 'find a client, a page, a position, a method'],
      ['t', 'today'],
      ['0', 'a client’s overview'],
      ['1 … 5', 'Meet, Measure, Prescribe, Perform, Advance (on a client)'],
    ],
  ],
  [
    'Screening',
    [
      ['y n', 'yes, no to the next question'],
      ['a', 'no to all of a topic that is open'],
      ['Enter', 'next topic'],
    ],
  ],
  [
    'Today',
    [
      ['↑ ↓', 'from client to client'],
      ['Enter', 'what this client waits for'],
    ],
  ],
  [
    'Measure',
    [
      ['Enter', 'next trial; in the last one save the measurement'],
      ['s m p h n', 'end feel: stretch, muscle, pinch, hard block, nothing'],
      ['+ −', 'pain'],
      ['c', 'control grade'],
      ['w', 'cold, warm'],
      ['Ctrl Enter', 'save the measurement as it is'],
    ],
  ],
  [
    'Prescribe',
    [
      ['↑ ↓ in a number', 'one step up or down; Shift for five'],
      ['Ctrl Enter', 'save the session'],
    ],
  ],
  [
    'Composer',
    [
      ['← →', 'block before, block after'],
      ['Alt ← →', 'move the block'],
      ['↑ ↓', 'left side, right side'],
      ['+ −', 'more, less of what matters most; Shift for five'],
      ['c', 'copy the block'],
      ['Delete', 'remove the block'],
      ['a', 'add a position'],
      ['Ctrl Z, Ctrl Y', 'undo, redo'],
    ],
  ],
  [
    'Report',
    [
      ['c k o', 'for the client, the coach, another professional'],
      ['p', 'print'],
    ],
  ],
  [
    'Session floor',
    [
      ['Space', 'pause, go on'],
      ['Enter', 'start; the next step or repetition, as soon as this one is done'],
      ['←', 'back to the start of this block'],
      ['→', 'skip, with a reason'],
      ['+', '10 s more'],
      ['s', 'one set more'],
      ['h', 'set up at another height or angle'],
      ['f', 'fault'],
      ['p', 'pain'],
      ['c', 'cramp'],
      ['e', 'could not reach the effort'],
      ['x', 'stop sign'],
      ['m', 'mute'],
      ['0 … 9', 'how hard the press was (10: type 1 0 quickly, or tap)'],
    ],
  ],
  [
    'Advance',
    [
      ['← →', 'left side, right side'],
      ['a', 'accept'],
      ['c', 'change'],
      ['d', 'decline'],
      ['e', 'the evidence'],
      ['↑ ↓ or j k', 'through the queue (on Decisions)'],
      ['p', 'accept what is plain of this client (on Decisions)'],
      ['u', 'undo the last decision (on Decisions)'],
    ],
  ],
];

/** What every key does. */
export function KeySheet({ close }: { close: () => void }) {
  return (
    <Sheet open onOpenChange={close} title="Keys">
      <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {KEYS.map(([where, keys]) => (
          <section key={where}>
            <h3 className="mb-1 font-semibold">{where}</h3>
            <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm">
              {keys.map(([key, what]) => (
                <div className="contents" key={key}>
                  <dt>
                    <kbd className="rounded border border-rule bg-tread px-1.5">{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Sheet>
  );
}
