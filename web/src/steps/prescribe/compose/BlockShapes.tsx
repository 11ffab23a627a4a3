import { memo } from 'react';
import type { Finding } from '../../../shared/api/client';
import { spotOf } from './edit';
import { PhaseShape } from './PhaseShape';
import { looksTheSame, type BlockOfPhases } from './phases';

type Props = {
  block: BlockOfPhases;
  axis: number;
  scale: number;
  perSecond: number;
  selected: boolean;
  finding: Finding | undefined;
};

/** A block's phases from its own left edge: one that only moved along the score is not drawn anew. */
export const BlockShapes = memo(
  function BlockShapes({ block, ...look }: Props) {
    return (
      <g className={spotOf(block.place) ? 'cursor-pointer' : ''}>
        {block.phases.map((phase, n) => (
          <g
            key={n}
            data-phase={block.first + n}
            transform={`translate(${(phase.startSecond - block.startSecond) * look.perSecond} 0)`}
          >
            <PhaseShape phase={phase} width={(phase.endSecond - phase.startSecond) * look.perSecond} {...look} />
          </g>
        ))}
      </g>
    );
  },
  (a, b) =>
    a.perSecond === b.perSecond &&
    a.selected === b.selected &&
    a.finding === b.finding &&
    looksTheSame(a.block, b.block),
);
