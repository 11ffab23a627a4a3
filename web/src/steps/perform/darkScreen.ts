import { useEffect } from 'react';

/** Dark while it is shown, whatever the pages around it are: it is read from three metres. */
export function useDarkScreen() {
  useEffect(() => {
    const before = document.documentElement.dataset['theme'];
    document.documentElement.dataset['theme'] = 'dark';
    return () => {
      document.documentElement.dataset['theme'] = before;
    };
  }, []);
}
