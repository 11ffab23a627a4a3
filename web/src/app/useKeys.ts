import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { isTyping } from '../shared/ui/keys';

const TREADS = ['', '/file', '/measure', '/prescribe', '/perform', '/advance'];

export type ShellSheet = 'keys' | 'find';

/** Keys that go somewhere from everywhere. */
export function useKeys(open: (sheet: ShellSheet) => void) {
  const navigate = useNavigate();
  const { clientId } = useParams();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') open('keys');
      if (event.key === '/') {
        event.preventDefault();
        open('find');
      }
      if (event.key === 't') void navigate('/');
      const tread = TREADS[/^[0-5]$/.test(event.key) ? Number(event.key) : -1];
      if (clientId && tread !== undefined) void navigate(`/clients/${clientId}${tread}`);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [navigate, clientId, open]);
}
