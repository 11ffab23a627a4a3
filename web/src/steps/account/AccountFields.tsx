import type { Finding, Schemas } from '../../shared/api/client';
import { TextField } from '../../shared/ui/TextField';

type Draft = Pick<Schemas['NewAccount'], 'name' | 'signIn' | 'password'>;
export const EMPTY: Draft = { name: '', signIn: '', password: '' };

type Props = {
  draft: Draft;
  onChange: (draft: Draft) => void;
  findings: Finding[];
  name: string;
  password: string;
};

/** What every new account needs, whoever makes it. */
export function AccountFields({ draft, onChange, findings, name, password }: Props) {
  return (
    <>
      <TextField
        label={name}
        value={draft.name}
        onChange={(v) => onChange({ ...draft, name: v })}
        path="name"
        findings={findings}
      />
      <TextField
        label="Name to sign in with"
        autoComplete="off"
        value={draft.signIn}
        onChange={(v) => onChange({ ...draft, signIn: v })}
        path="signIn"
        findings={findings}
      />
      <TextField
        label={`${password}, 12 letters or more`}
        type="password"
        autoComplete="new-password"
        value={draft.password}
        onChange={(v) => onChange({ ...draft, password: v })}
        path="password"
        findings={findings}
      />
    </>
  );
}
