import type { Schemas } from '../api/client';

export type Block = Schemas['BlockDraft'];

export const setNumber = (name: string, value: number) => (block: Block) => ({
  ...block,
  numbers: { ...block.numbers, [name]: value },
});

export const setWord = (name: string, value: string) => (block: Block) => ({
  ...block,
  words: { ...block.words, [name]: value },
});

export const setStep = (index: number, part: Partial<Schemas['Tread']>) => (block: Block) => ({
  ...block,
  steps: block.steps.map((t, i) => (i === index ? { ...t, ...part } : t)),
});
