import { useEffect } from 'react';
import { isTyping } from '../../../shared/ui/keys';
import type { SheetName } from './FloorSheets';
import type { FloorStore } from './floorStore';
import { workToRate } from './rating';
import * as Runs from '../run';

type KeyProps = {
  store: FloorStore;
  toggle: () => void;
  setSheet: (sheet: SheetName) => void;
  mute: () => void;
  open: boolean;
};

/** Everything on the floor by one key; Enter alone is enough for a foot switch. */
export function useFloorKeys({ store, toggle, setSheet, mute, open }: KeyProps) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (open || isTyping(event) || event.ctrlKey || event.metaKey || event.repeat) return;
      const { run } = store.snapshot();
      const actions: Record<string, () => void> = {
        ' ': toggle,
        Enter: () => (run.pausedAt === null ? store.leave(Runs.nextPhase) : toggle()),
        ArrowLeft: () => store.change(Runs.backToBlockStart),
        ArrowRight: () => setSheet('skip'),
        '+': () => store.change((r) => Runs.addSeconds(r, 10)),
        s: store.addSet,
        f: () => setSheet('fault'),
        p: () => setSheet('pain'),
        h: () => setSheet('prop'),
        x: () => setSheet('stop'),
        m: mute,
        c: store.cramp,
        e: () => store.note(Runs.notedBlock(run), () => ({ effortMissed: true })),
      };
      const press = workToRate(run);
      const action =
        actions[event.key] ?? (press && /^\d$/.test(event.key) ? () => rate(store, press, Number(event.key)) : null);
      if (!action) return;
      event.preventDefault();
      action();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [store, toggle, setSheet, mute, open]);
}

/** A 0 after a 1 makes ten. */
function rate(store: FloorStore, press: string, digit: number) {
  store.note(press, (n) => ({ effortRating: digit === 0 && n.effortRating === 1 ? 10 : digit }));
}
