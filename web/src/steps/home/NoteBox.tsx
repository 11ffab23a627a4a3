import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { daysAgo } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';

/** A short note to the coach; the same note twice is one. */
export function NoteBox({ notes }: { notes: Schemas['Note'][] }) {
  const queries = useQueryClient();
  const [id, setId] = useState(newId);
  const [text, setText] = useState('');
  const send = useMutation({
    mutationFn: () => ask(api.POST('/api/home/notes', { body: { id, text } })),
    onSuccess: () => {
      setId(newId());
      setText('');
      return queries.invalidateQueries();
    },
  });
  const findings = findingsOf(send.error);
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">A note to your coach</h2>
      <TextField label="In a few words" value={text} onChange={setText} path="text" findings={findings} />
      <Button className="mt-2" disabled={text.trim() === '' || send.isPending} onClick={() => send.mutate()}>
        Send
      </Button>
      <Failure error={findings.length > 0 ? null : send.error} />
      <ul className="mt-2 space-y-1 text-soft">
        {notes.slice(0, 5).map((n) => (
          <li key={n.id}>
            {n.text}{' '}
            <span className="text-sm">
              ({daysAgo(n.happenedAt)}
              {n.readAt ? ', read' : ''})
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
