import type { Schemas } from '../../shared/api/client';

export type Answers = Schemas['Answers'];
export type Question = Schemas['Question'];

export const EMPTY: Answers = {
  answers: {},
  events: [],
  flareJoints: [],
  earlierYears: 0,
  note: '',
};

/** Questions topic by topic, in the order they are asked. */
export function topicsOf(questions: Question[]): [string, Question[]][] {
  const topics = new Map<string, Question[]>();
  for (const q of questions) topics.set(q.topic, [...(topics.get(q.topic) ?? []), q]);
  return [...topics];
}

/** A question that only makes sense after another was answered with yes. */
export function isAsked(q: Question, answers: Answers['answers']): boolean {
  return q.id !== 'mid-pregnancy' || answers['pregnant'] === true;
}

/** With every question that was not asked because of an earlier no. */
export function whole(a: Answers, questions: Question[]): Answers {
  const skipped = questions.filter((q) => !isAsked(q, a.answers)).map((q): [string, boolean] => [q.id, false]);
  return { ...a, answers: { ...a.answers, ...Object.fromEntries(skipped) } };
}
