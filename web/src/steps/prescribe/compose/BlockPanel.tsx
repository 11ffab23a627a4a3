import { memo, useMemo } from 'react';
import { isOne, type Finding, type Schemas } from '../../../shared/api/client';
import { sideWords } from '../../../shared/sides';
import { Button } from '../../../shared/ui/Button';
import { AddBlock, BlockInspector } from '../../../shared/blocks/BlockInspector';
import { BlockMotion } from './BlockMotion';
import * as edit from './edit';
import type { Phase } from './phases';
import type { FormInfo } from '../../../shared/blocks/useForms';
import { WaysOut } from './WaysOut';

type Props = {
  clientId: string;
  draft: edit.Draft;
  spot: edit.Spot;
  forms: FormInfo[];
  findings: Finding[];
  marks: Schemas['Shortfall'][];
  phases: Phase[];
  together: boolean;
  setTogether: (together: boolean) => void;
  changeBlock: (key: string, make: (block: edit.Block) => edit.Block) => void;
  changeList: (make: (blocks: edit.Block[]) => edit.Block[]) => void;
  shiftBlock: (by: 1 | -1) => void;
};

/** The selected block: its numbers, its neighbours, and what would make it feasible. */
export const BlockPanel = memo(function BlockPanel(props: Props) {
  const { clientId, draft, spot, forms, findings, marks, together, setTogether } = props;
  const { changeBlock, changeList, shiftBlock } = props;
  const line = edit.lineAt(draft, spot);
  const block = edit.blockAt(draft, spot);
  const moved = useMemo(() => {
    const place = edit.placeOf(spot);
    return props.phases.filter((p) => p.place === place || p.place.startsWith(`${place}.`));
  }, [props.phases, spot]);
  if (!line) return null;
  return (
    <section aria-label="Block" className="contain-content">
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <h2 className="mr-2 text-xl font-bold">
          {block ? forms.find((f) => f.form === block.form)?.words : 'No block'}
          <span className="font-normal text-soft">
            {' '}
            · {isOne(line.sides) ? sideWords('LEFT', line.sides) : together ? 'both sides' : spot.side}
          </span>
        </h2>
        {!isOne(line.sides) && (
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={together} onChange={(e) => setTogether(e.target.checked)} />
            change both sides
          </label>
        )}
      </div>
      {block && moved.length > 0 && (
        <BlockMotion phases={moved} motion={line.motion} position={line.position} angles={line.angles} />
      )}
      {block && (
        <BlockInspector
          block={block}
          place={edit.placeOf(spot)}
          forms={forms}
          findings={findings}
          change={changeBlock}
        />
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        <AddBlock
          forms={forms}
          label="Add a block after it"
          add={(b) => changeList((all) => [...all.slice(0, spot.block + 1), b, ...all.slice(spot.block + 1)])}
        />
        {block && (
          <>
            <Button onClick={() => changeList((all) => all.flatMap((b, i) => (i === spot.block ? [b, b] : [b])))}>
              Copy
            </Button>
            <Button onClick={() => shiftBlock(-1)}>Earlier</Button>
            <Button onClick={() => shiftBlock(1)}>Later</Button>
            <Button onClick={() => changeList((all) => all.filter((_, i) => i !== spot.block))}>Remove</Button>
          </>
        )}
      </div>
      {block?.form === 'GRADED_SET' && (
        <WaysOut clientId={clientId} draft={draft} spot={spot} marks={marks} change={changeBlock} />
      )}
    </section>
  );
});
