import type { Schemas } from '../../shared/api/client';
import { MorningCard } from '../../shared/ui/MorningCard';

/** What is to be asked after sessions. */
export function Mornings({ mornings }: { mornings: Schemas['MorningAsked'][] }) {
  return (
    <aside aria-label="Next morning">
      <h2 className="mb-2 text-lg text-soft">The morning after</h2>
      {mornings.length === 0 && (
        <p className="text-soft">
          Every session of the week has its next-morning answer. New ones appear the day after.
        </p>
      )}
      {mornings.map((asked) => (
        <MorningCard
          key={asked.runId}
          runId={asked.runId}
          title={asked.clientName}
          of={asked.title}
          endedAt={asked.endedAt}
          question={asked.question}
        />
      ))}
    </aside>
  );
}
