import type { KeyboardEvent } from 'react';
import { setNumber, type Block, type Draft, type Spot } from './edit';
import { MAIN_NUMBER } from './phases';

type Props = {
  draft: Draft;
  selected: Spot | null;
  select: (spot: Spot) => void;
  history: { undo: () => void; redo: () => void };
  changeBlock: (key: string, make: (block: Block) => Block) => void;
  changeList: (make: (blocks: Block[]) => Block[]) => void;
  shiftBlock: (by: 1 | -1) => void;
  openLibrary: () => void;
};

/** Every edit by keys, wherever no text is being typed. */
export function useComposerKeys(p: Props) {
  return (event: KeyboardEvent) => {
    const ctrl = event.ctrlKey || event.metaKey;
    if (ctrl && event.key.toLowerCase() === 'z') return done(event, event.shiftKey ? p.history.redo : p.history.undo);
    if (ctrl && event.key.toLowerCase() === 'y') return done(event, p.history.redo);
    const target = event.target as HTMLElement;
    if (/INPUT|SELECT|TEXTAREA/.test(target.tagName) || ctrl || !p.selected) return;
    const at = p.selected;
    const blocks = p.draft.stations[at.station]?.lines[at.line]?.[at.side] ?? [];
    const block = blocks[at.block];
    const by = event.shiftKey ? 5 : 1;
    const main = block && MAIN_NUMBER[block.form];
    const step = (amount: number) => () => {
      if (main) p.changeBlock(`key.${main}`, (b) => setNumber(main, Math.max(0, (b.numbers[main] ?? 0) + amount))(b));
    };
    const keys: Record<string, (() => void) | undefined> = {
      ArrowRight: event.altKey ? () => p.shiftBlock(1) : () => go(p, 1),
      ArrowLeft: event.altKey ? () => p.shiftBlock(-1) : () => go(p, -1),
      ArrowDown: () => p.select({ ...at, side: 'right' }),
      ArrowUp: () => p.select({ ...at, side: 'left' }),
      '+': step(by),
      '=': step(by),
      '-': step(-by),
      c: () => p.changeList((all) => all.flatMap((b, i) => (i === at.block ? [b, b] : [b]))),
      Delete: () => p.changeList((all) => all.filter((_, i) => i !== at.block)),
      a: p.openLibrary,
    };
    const act = keys[event.key];
    if (act) done(event, act);
  };
}

function done(event: KeyboardEvent, act: () => void) {
  event.preventDefault();
  act();
}

/** To the next block, over the end of a line into the next one. */
function go({ draft, selected, select }: Props, by: 1 | -1) {
  if (!selected) return;
  const spots = draft.stations.flatMap((s, station) =>
    s.lines.flatMap((l, line) =>
      l[selected.side].map((_, block): Spot => ({ station, line, side: selected.side, block })),
    ),
  );
  const now = spots.findIndex(
    (s) => s.station === selected.station && s.line === selected.line && s.block === selected.block,
  );
  const next = spots[now + by];
  if (next) select(next);
}
