import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { day } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { MadeFiles } from '../../shared/ui/MadeFiles';
import { Sheet } from '../../shared/ui/Sheet';
import { TextField } from '../../shared/ui/TextField';

const ARCHIVE = ['archive'];

/** For good, after the name is typed once more. Only an owner gets this far. */
export function Erase({ client }: { client: Schemas['ClientFile'] }) {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const queries = useQueryClient();
  const navigate = useNavigate();
  const erase = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/clients/{clientId}/erasure', { params: { path: { clientId: client.id } }, body: { name } })),
  });
  const gone = async () => {
    await navigate('/');
    queries.clear();
  };
  const findings = findingsOf(erase.error);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Erase this client</Button>
      <Sheet open={open} onOpenChange={setOpen} title={`Erase ${client.details.name}`}>
        {erase.data && (
          <div role="status" className="space-y-4">
            <p>{client.details.name} is erased, and no file here holds anything of them but the backups.</p>
            <p>
              {erase.data.backupsUntil
                ? `The last backup that Gradino made and that includes them is gone by ${day(erase.data.backupsUntil)}. Copies that you made yourself stay until you remove them.`
                : 'Gradino has no backup that includes them. Copies that you made yourself stay until you remove them.'}
            </p>
            <Button look="main" onClick={() => void gone()}>
              To today
            </Button>
          </div>
        )}
        <div className={erase.data ? 'hidden' : 'space-y-4'}>
          <p>
            Everything of theirs goes, for good: file, measures, sessions, decisions, notes, and the links to their
            home. Copies of the database bring nobody back. Download it first if it may be needed.
          </p>
          <MadeFiles works={ARCHIVE}>
            <a className="inline-block font-semibold underline" href={`/api/clients/${client.id}/archive.zip`} download>
              Download everything of theirs
            </a>
          </MadeFiles>
          <TextField
            label={`Type the name to confirm: ${client.details.name}`}
            value={name}
            onChange={setName}
            path="name"
            findings={findings}
          />
          <Failure error={findings.length > 0 ? null : erase.error} />
          <Button look="main" disabled={name.trim() === '' || erase.isPending} onClick={() => erase.mutate()}>
            Erase for good
          </Button>
        </div>
      </Sheet>
    </>
  );
}
