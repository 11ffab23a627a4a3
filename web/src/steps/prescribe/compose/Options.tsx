import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { Failure } from '../../../shared/ui/Findings';
import type { Line } from './edit';

type Option = Schemas['LineOption'];
type Props = {
  clientId: string;
  line: Line;
  take: (line: Line) => void;
  /** The line begins anew in another position. */
  move: (position: string) => void;
};

/** What would make the line easier or harder: each says what it does, and one tap takes it. */
export function Options({ clientId, line, take, move }: Props) {
  const options = useQuery({
    queryKey: ['options', clientId, line],
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    queryFn: () =>
      ask(api.POST('/api/clients/{clientId}/score/options', { params: { path: { clientId } }, body: line })),
  });
  const ways = useMemo(
    () =>
      [
        ['Easier', options.data?.filter((o) => o.easier) ?? []],
        ['Harder', options.data?.filter((o) => !o.easier) ?? []],
      ] as const,
    [options.data],
  );
  return (
    <>
      <Failure error={options.error} />
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        {ways.map(([title, all]) => (
          <section key={title} aria-label={title}>
            <h3 className="text-sm font-bold">{title}</h3>
            <ul>
              {all.map((option) => (
                <li key={option.words}>
                  <One option={option} take={take} move={move} />
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}

function One({ option, take, move }: { option: Option } & Pick<Props, 'take' | 'move'>) {
  const { line, position } = option;
  const can = line !== undefined || position !== '';
  return (
    <button
      className="block min-h-11 w-full border-b border-rule py-1.5 text-left hover:bg-tread disabled:text-soft"
      disabled={!can}
      onClick={() => (line ? take(line) : move(position))}
    >
      <span className={can ? 'font-semibold underline' : 'font-semibold'}>{option.words}</span>
      <span className="block text-sm text-soft">{option.does.map((d) => d.text).join('. ')}</span>
    </button>
  );
}
