import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { BlockDose } from './BlockDose';
import { isTyping } from '../../shared/ui/keys';

type Judged = Schemas['Judged'];
type Answer = Schemas['Decision']['answer'];

type Props = { judged: Judged; lineId: string; onDecided: (decisionId: string) => void };

/** Accept, change or decline; by a, c and d. */
export function Answers({ judged, lineId, onDecided }: Props) {
  const p = judged.proposal;
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [mode, setMode] = useState<'CHANGED' | 'DECLINED' | null>(null);
  const [dose, setDose] = useState(p.to);
  const [reason, setReason] = useState('');
  const decide = useMutation({
    mutationFn: (answer: Answer) =>
      ask(
        api.POST('/api/lines/{lineId}/decisions', {
          params: { path: { lineId } },
          body: { id, side: p.side, answer, seen: p.to, dose: answer === 'CHANGED' ? dose : undefined, reason },
        }),
      ),
    onSuccess: async () => {
      onDecided(id);
      await queries.invalidateQueries();
    },
  });
  const findings = findingsOf(decide.error);
  const stay = p.verdict === 'STAY' && !judged.waits;
  const seen = stay && !judged.isNew;
  const accept = decide.mutate;
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey) return;
      const actions: Record<string, () => void> = { c: () => setMode('CHANGED') };
      if (!seen) actions.a = () => accept('ACCEPTED');
      if (!stay) actions.d = () => setMode('DECLINED');
      const action = actions[e.key];
      if (!action) return;
      e.preventDefault(); // or the letter lands in the field that opens
      action();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [accept, stay, seen]);
  return (
    <div className="mt-4 space-y-4">
      <div className="flex flex-wrap gap-3">
        {!seen && (
          <Button
            look="main"
            className="min-h-14 px-8 text-xl"
            disabled={decide.isPending}
            onClick={() => decide.mutate('ACCEPTED')}
          >
            {stay ? 'Accept: stay' : 'Accept'}
          </Button>
        )}
        <Button className="min-h-14" onClick={() => setMode('CHANGED')} aria-pressed={mode === 'CHANGED'}>
          Change
        </Button>
        {!stay && (
          <Button className="min-h-14" onClick={() => setMode('DECLINED')} aria-pressed={mode === 'DECLINED'}>
            Decline
          </Button>
        )}
      </div>
      {mode === 'CHANGED' && <BlockDose dose={dose} setDose={setDose} findings={findings} side={p.side} />}
      {mode && (
        <>
          <label className="block text-sm text-soft">
            Why{mode === 'CHANGED' ? ' (needed when it goes further than proposed)' : ''}
            <input
              className="block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink outline-none focus:border-ink"
              value={reason}
              autoFocus={mode === 'DECLINED'}
              onChange={(e) => setReason(e.target.value)}
            />
          </label>
          <FieldFinding findings={findings} path="reason" />
          <Button look="main" disabled={decide.isPending} onClick={() => decide.mutate(mode)}>
            {mode === 'CHANGED' ? 'Set this dose' : 'Decline'}
          </Button>
        </>
      )}
      <Failure error={findings.some((f) => f.path !== '') ? null : decide.error} />
    </div>
  );
}
