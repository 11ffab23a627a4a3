import { useState } from 'react';
import { findingsOf, newId, type Finding, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { ButtonLink } from '../../../shared/ui/ButtonLink';
import { Failure } from '../../../shared/ui/Findings';
import { BlockPanel } from './BlockPanel';
import { FindingList } from './FindingList';
import { LibrarySheet } from './LibrarySheet';
import { fitting, Legend, Reading } from './Legend';
import { LineSection, Week } from './LineSection';
import { Minutes } from './Minutes';
import { ScoreView } from './ScoreView';
import { WarmUp } from './WarmUp';
import * as edit from './edit';
import { useComposerKeys } from './useComposerKeys';
import { useForms } from '../../../shared/blocks/useForms';
import { useHistory } from './useHistory';
import { useKeep } from './useKeep';
import { WeekSketch } from './WeekSketch';
import { usePreview } from './usePreview';
import { useServerLines } from './useServerLines';
import { useStable } from './useStable';
import type { Grip } from './phases';

type Props = {
  clientId: string;
  id: string;
  name: string;
  start: edit.Draft;
  reasons: string[];
  isNew: boolean;
};

const NONE: Finding[] = [];
const NO_MARKS: Schemas['Shortfall'][] = [];
const NO_PHASES: Schemas['ScorePhase'][] = [];

export function Composer({ clientId, id, name: startName, start, reasons, isNew }: Props) {
  const history = useHistory(start);
  const draft = history.now;
  const [name, setName] = useState(startName);
  const [selected, select] = useState<edit.Spot | null>(
    start.stations.length > 0 ? { station: 0, line: 0, side: 'left', block: 0 } : null,
  );
  const [together, setTogether] = useState(true);
  const [library, setLibrary] = useState(false);
  const [zoom, setZoom] = useState(1);
  const { preview, error } = usePreview(clientId, draft);
  const forms = useForms();
  const keep = useKeep(clientId, id, name);
  const perSecond = zoom * fitting(preview?.totals?.seconds);
  const findings = preview?.findings ?? NONE;
  const blocked = findings.some((f) => f.severity === 'BLOCKING');
  const line = selected && edit.lineAt(draft, selected);

  const changeBlock = useStable((key: string, make: (b: edit.Block) => edit.Block) => {
    if (selected) history.change((d) => edit.changeBlock(d, selected, together, make), key || null);
  });
  const changeList = useStable((make: (blocks: edit.Block[]) => edit.Block[]) => {
    if (selected) history.change((d) => edit.changeList(d, selected, together, make));
  });
  const shiftBlock = useStable((by: 1 | -1) => {
    const to = (selected?.block ?? 0) + by;
    if (!selected || !line || to < 0 || to >= line[selected.side].length) return;
    changeList((all) => edit.move(all, selected.block, by));
    select({ ...selected, block: to });
  });
  const lines = useServerLines(
    clientId,
    (added) => {
      history.change((d) => ({
        ...d,
        stations: [...d.stations, { rounds: 1, restSeconds: 0, oneSetUp: false, lines: [added] }],
      }));
      select({ station: draft.stations.length, line: 0, side: 'left', block: 0 });
      setLibrary(false);
    },
    (at, make) => history.change((d) => edit.changeLine(d, at, make)),
  );
  const takeMethod = useStable((id: string) => {
    if (selected) lines.method.mutate({ draft, at: selected, id });
  });
  const movePosition = useStable((to: string) => {
    if (selected && line) lines.move.mutate({ line, at: selected, to });
  });
  const drag = useStable((spot: edit.Spot, held: NonNullable<Grip>, seconds: number) => {
    const make = 'step' in held ? edit.setStep(held.step, { seconds }) : edit.setNumber(held.number, seconds);
    history.change((d) => edit.changeBlock(d, spot, together, make), 'drag');
  });
  const formAt = useStable((spot: edit.Spot) => edit.blockAt(draft, spot)?.form);
  const weekly = line && preview?.lines.find((l) => l.line === line.id)?.weekly;
  const onKey = useComposerKeys({
    draft,
    selected,
    select,
    history,
    changeBlock,
    changeList,
    shiftBlock,
    openLibrary: () => setLibrary(true),
  });

  return (
    <div onKeyDown={onKey}>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <label className="text-sm text-soft">
          Session
          <input
            className="block border-b-2 border-rule bg-transparent py-1 text-2xl font-bold text-ink focus:border-ink"
            value={name}
            maxLength={120}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <div className="flex flex-wrap items-center gap-2">
          <Button onClick={() => setLibrary(true)}>Add a position</Button>
          <Button onClick={history.undo} disabled={!history.canUndo} aria-label="Undo (Ctrl+Z)">
            Undo
          </Button>
          <Button onClick={history.redo} disabled={!history.canRedo} aria-label="Redo (Ctrl+Y)">
            Redo
          </Button>
          {!isNew && <ButtonLink to={`/clients/${clientId}/compose/${id}/handout`}>Hand-out</ButtonLink>}
          <Button
            look="main"
            disabled={blocked || draft.stations.length === 0 || keep.isPending}
            onClick={() => keep.mutate(draft)}
          >
            Save the session
          </Button>
          {(draft === keep.variables ? keep.isSuccess : !isNew && draft === start) && <span role="status">Saved.</span>}
        </div>
      </div>
      {preview?.totals && (
        <Minutes
          totals={preview.totals}
          findings={findings}
          clientId={clientId}
          draft={draft}
          put={(d) => history.change(() => d)}
        />
      )}
      <Failure error={error ?? (findingsOf(keep.error).length > 0 ? null : keep.error)} />
      <FindingList findings={[...findings, ...findingsOf(keep.error)]} draft={draft} select={select} />
      {draft.stations.length === 0 && (
        <p className="my-4 max-w-prose text-lg">
          Nothing is in this session yet. Add a position: it begins with its usual dose.
        </p>
      )}
      {isNew && !blocked && <WeekSketch clientId={clientId} draft={draft} />}
      {preview && preview.phases.length > 0 && (
        <>
          <ScoreView
            formAt={formAt}
            preview={preview}
            selected={selected}
            perSecond={perSecond}
            select={select}
            drag={drag}
          />
          <Reading zoom={zoom} setZoom={setZoom} forecast={preview.forecast} />
        </>
      )}
      {selected && line && forms.data && (
        <div className="mt-2 grid gap-8 xl:grid-cols-2">
          <BlockPanel
            clientId={clientId}
            draft={draft}
            spot={selected}
            forms={forms.data}
            findings={findings}
            marks={preview?.forecast?.marks ?? NO_MARKS}
            phases={preview?.phases ?? NO_PHASES}
            together={together}
            setTogether={setTogether}
            changeBlock={changeBlock}
            changeList={changeList}
            shiftBlock={shiftBlock}
          />
          <div>
            {weekly && <Week dose={weekly} />}
            <LineSection
              clientId={clientId}
              draft={draft}
              spot={selected}
              sets={preview?.set}
              findings={findings}
              change={history.change}
              takeMethod={takeMethod}
              movePosition={movePosition}
              select={select}
            />
          </div>
        </div>
      )}
      {preview?.forecast && <Legend forecast={preview.forecast} />}
      <WarmUp draft={draft} findings={findings} change={(key, make) => history.change(make, key)} />
      {reasons.length > 0 && (
        <section className="mt-8 max-w-prose">
          <h2 className="mb-1 text-xl font-bold">Why this to begin with</h2>
          <ul className="list-disc space-y-1 pl-5">
            {reasons.map((r) => (
              <li key={r}>{r}</li>
            ))}
          </ul>
        </section>
      )}
      <Failure error={lines.error} />
      <LibrarySheet
        clientId={clientId}
        open={library}
        setOpen={setLibrary}
        known={lines.known.filter((l) => draft.stations.every((s) => s.lines.every((d) => d.id !== l.line.id)))}
        put={(known) => lines.put(edit.lineOf(known))}
        choose={(entry, motion) => lines.add.mutate({ motion, position: entry.position.id, id: newId() })}
      />
    </div>
  );
}
