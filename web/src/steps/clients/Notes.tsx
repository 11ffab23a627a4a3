import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { day } from '../../shared/units';

/** What coaches wrote down about a client, dated and signed. */
export function Notes({ clientId, notes }: { clientId: string; notes: Schemas['NoteView'][] }) {
  const queries = useQueryClient();
  const [text, setText] = useState('');
  const save = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/clients/{clientId}/notes', { params: { path: { clientId } }, body: { text } })),
    onSuccess: async () => {
      setText('');
      await queries.invalidateQueries({ queryKey: ['overview', clientId] });
    },
  });
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">Notes</h2>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <label className="grow basis-72 text-sm text-soft">
          New note
          <textarea
            rows={2}
            className="mt-1 block w-full border border-rule bg-card p-2 text-ink"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <Button type="submit" disabled={text.trim() === '' || save.isPending}>
          Save note
        </Button>
      </form>
      <FieldFinding findings={findingsOf(save.error)} path="text" />
      <Failure error={findingsOf(save.error).length > 0 ? null : save.error} />
      <ul className="mt-2">
        {notes.map((note) => (
          <li key={note.at + note.text} className="border-t border-rule py-1.5">
            <p className="max-w-prose whitespace-pre-line">{note.text}</p>
            <p className="text-sm text-soft">
              {day(note.at)}
              {note.author && `, ${note.author}`}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
