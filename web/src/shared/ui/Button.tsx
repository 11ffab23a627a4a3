import type { ButtonHTMLAttributes } from 'react';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { look?: 'main' | 'plain' | 'stop' };

const LOOKS = {
  main: 'bg-ink text-paper hover:opacity-90 border-ink',
  plain: 'bg-card text-ink border-rule hover:bg-tread',
  stop: 'bg-warn-paper text-warn border-warn hover:opacity-90',
};

export function Button({ look = 'plain', className = '', type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={`min-h-11 border px-4 py-2 font-semibold disabled:cursor-not-allowed disabled:opacity-45 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
