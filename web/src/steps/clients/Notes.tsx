import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { day } from '../../shared/units';

type Note = Schemas['NoteNow'];

/** The note to store; what corrects another takes its place, and an empty one removes it. */
type Draft = { id: string; text: string; corrects?: string };

function useSaveNote(clientId: string, saved: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Draft) =>
      ask(api.POST('/api/clients/{clientId}/notes', { params: { path: { clientId } }, body })),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['overview', clientId] });
      saved();
    },
  });
}

/** What coaches wrote down about a client, dated and signed. */
export function Notes({ clientId, notes }: { clientId: string; notes: Note[] }) {
  const [edited, edit] = useState<string | null>(null);
  const [removed, setRemoved] = useState<Note | null>(null);
  const change = useSaveNote(clientId, () => edit(null));
  const remove = (note: Note) =>
    change.mutate({ id: newId(), text: '', corrects: note.id }, { onSuccess: () => setRemoved(note) });
  const restore = (note: Note) =>
    change.mutate({ id: newId(), text: note.text, corrects: note.id }, { onSuccess: () => setRemoved(null) });
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">Notes</h2>
      <NoteForm clientId={clientId} label="New note" />
      <Failure error={change.error} />
      {removed && (
        <p role="status" className="mt-2 flex flex-wrap items-baseline gap-3">
          Note of {day(removed.at)} removed. <Button onClick={() => restore(removed)}>Undo</Button>
        </p>
      )}
      <ul className="mt-2">
        {notes.map((note) => (
          <li key={note.id} className="border-t border-rule py-1.5">
            {edited === note.id ? (
              <NoteForm clientId={clientId} label="Edit note" of={note} close={() => edit(null)} />
            ) : (
              <NoteRow note={note} onEdit={() => edit(note.id)} onRemove={() => remove(note)} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function NoteRow({ note, onEdit, onRemove }: { note: Note; onEdit: () => void; onRemove: () => void }) {
  return (
    <>
      <p className="max-w-prose break-words whitespace-pre-line">{note.text}</p>
      <p className="flex flex-wrap items-baseline gap-x-3 text-sm text-soft">
        <span>
          {day(note.at)}
          {note.author && `, ${note.author}`}
          {note.correctedAt && `, edited ${day(note.correctedAt)}`}
        </span>
        <button type="button" className="underline" onClick={onEdit}>
          Edit
        </button>
        <button type="button" className="underline" onClick={onRemove}>
          Remove
        </button>
      </p>
    </>
  );
}

type FormProps = { clientId: string; label: string; of?: Note; close?: () => void };

function NoteForm({ clientId, label, of, close }: FormProps) {
  const [text, setText] = useState(of?.text ?? '');
  const save = useSaveNote(clientId, () => {
    setText('');
    close?.();
  });
  const findings = findingsOf(save.error);
  return (
    <>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate({ id: newId(), text, corrects: of?.id });
        }}
      >
        <label className="grow basis-72 text-sm text-soft">
          {label}
          <textarea
            rows={2}
            className="mt-1 block w-full border border-rule bg-card p-2 text-ink"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <Button type="submit" disabled={text.trim() === '' || save.isPending}>
          {of ? 'Save' : 'Save note'}
        </Button>
        {close && (
          <Button type="button" onClick={close}>
            Cancel
          </Button>
        )}
      </form>
      <FieldFinding findings={findings} path="text" />
      <Failure error={findings.length > 0 ? null : save.error} />
    </>
  );
}
