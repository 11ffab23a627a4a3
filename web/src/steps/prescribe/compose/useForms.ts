import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../../shared/api/client';
import type { Block, Form } from './edit';

export type FormInfo = Schemas['Form'];

export function useForms() {
  return useQuery({
    queryKey: ['block-forms'],
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/block-forms')),
  });
}

export function useMethods() {
  return useQuery({ queryKey: ['methods'], staleTime: 60_000, queryFn: () => ask(api.GET('/api/methods')) });
}

/** A new block of a kind with its usual numbers. */
export function usualBlock(info: FormInfo): Block {
  return {
    form: info.form,
    numbers: Object.fromEntries(info.parameters.map((p) => [p.name, p.usual])),
    words: {},
    steps: isRamp(info.form) ? [20, 40, 60].map((effort) => ({ effort, seconds: 5 })) : [],
    blocks: info.form === 'GROUP' ? [] : [],
  };
}

export function isRamp(form: Form): boolean {
  return form === 'PRESS_RAMP' || form === 'PULL_RAMP' || form === 'GRADED_SET';
}

/** A method's blocks as a line begins with them. */
export function firstBlocks(method: Schemas['Method'], newcomer: boolean): Block[] {
  const block = (b: Schemas['MethodBlock']): Block => ({
    form: b.form,
    numbers: Object.fromEntries(Object.entries(b.numbers).map(([n, r]) => [n, newcomer ? r.first : r.usual])),
    words: b.words,
    steps: b.steps,
    blocks: b.blocks.map(block),
  });
  return method.blocks.filter((b) => !b.number.startsWith('+')).map(block);
}
