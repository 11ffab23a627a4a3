import { useState } from 'react';
import { Link } from 'react-router';
import { findingsOf } from '../../../shared/api/client';
import { words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { BlockPanel } from './BlockPanel';
import { FindingList } from './FindingList';
import { LibrarySheet } from './LibrarySheet';
import { fitting, Legend } from './Legend';
import { LinePanel } from './LinePanel';
import { Minutes } from './Minutes';
import { ScoreView } from './ScoreView';
import { Together } from './Together';
import { WarmUp } from './WarmUp';
import * as edit from './edit';
import { useComposerKeys } from './useComposerKeys';
import { useForms } from './useForms';
import { useHistory } from './useHistory';
import { useKeep } from './useKeep';
import { usePreview } from './usePreview';
import { useServerLines } from './useServerLines';

type Props = {
  clientId: string;
  id: string;
  name: string;
  start: edit.Draft;
  reasons: string[];
  isNew: boolean;
};

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
  const catalogue = useCatalogue();
  const keep = useKeep(clientId, id, name);
  const perSecond = zoom * fitting(preview?.totals?.seconds);
  const findings = preview?.findings ?? [];
  const blocked = findings.some((f) => f.severity === 'BLOCKING');
  const line = selected && edit.lineAt(draft, selected);

  const changeBlock = (key: string, make: (b: edit.Block) => edit.Block) => {
    if (selected) history.change((d) => edit.changeBlock(d, selected, together, make), key || null);
  };
  const changeList = (make: (blocks: edit.Block[]) => edit.Block[]) => {
    if (selected) history.change((d) => edit.changeList(d, selected, together, make));
  };
  const shiftBlock = (by: 1 | -1) => {
    const to = (selected?.block ?? 0) + by;
    if (!selected || !line || to < 0 || to >= line[selected.side].length) return;
    changeList((all) => edit.move(all, selected.block, by));
    select({ ...selected, block: to });
  };
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
          {!isNew && (
            <Link
              className="inline-flex min-h-11 items-center border border-rule bg-card px-4 font-semibold hover:bg-tread"
              to={`/clients/${clientId}/compose/${id}/handout`}
            >
              Hand-out
            </Link>
          )}
          <Button
            look="main"
            disabled={blocked || draft.stations.length === 0 || keep.isPending}
            onClick={() => keep.mutate(draft)}
          >
            Keep the session
          </Button>
          {(draft === keep.variables ? keep.isSuccess : !isNew && draft === start) && <span role="status">Kept.</span>}
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
      {preview && preview.phases.length > 0 && (
        <>
          <ScoreView
            draft={draft}
            preview={preview}
            selected={selected}
            perSecond={perSecond}
            select={select}
            drag={(spot, held, seconds) => {
              const make = 'step' in held ? edit.setStep(held.step, { seconds }) : edit.setNumber(held.number, seconds);
              history.change((d) => edit.changeBlock(d, spot, together, make), 'drag');
            }}
          />
          <Legend zoom={zoom} setZoom={setZoom} forecast={preview.forecast} />
        </>
      )}
      {selected && line && forms.data && (
        <div className="mt-5 grid gap-8 xl:grid-cols-2">
          <BlockPanel
            clientId={clientId}
            draft={draft}
            spot={selected}
            forms={forms.data}
            findings={findings}
            marks={preview?.forecast?.marks ?? []}
            together={together}
            setTogether={setTogether}
            changeBlock={changeBlock}
            changeList={changeList}
            shiftBlock={shiftBlock}
          />
          <section aria-label="Line">
            <h2 className="mb-3 text-xl font-bold">
              {words(line.motion)}{' '}
              <span className="font-normal text-soft">
                · {catalogue.data?.positions.find((p) => p.id === line.position)?.name}
              </span>
            </h2>
            <LinePanel
              clientId={clientId}
              totals={preview?.lines.find((l) => l.line === line.id)}
              line={line}
              place={`stations[${selected.station}].lines[${selected.line}]`}
              sets={preview?.set.filter((s) => s.line === line.id) ?? []}
              position={catalogue.data?.positions.find((p) => p.id === line.position)}
              findings={findings}
              change={(key, make) => history.change((d) => edit.changeLine(d, selected, make), key)}
              takeMethod={(method) => lines.method.mutate({ draft, at: selected, id: method })}
              remove={() => {
                history.change((d) => edit.removeLine(d, selected.station, selected.line));
                select(null);
              }}
              shift={(by) => {
                history.change((d) => edit.moveStation(d, selected.station, by));
                const to = selected.station + by;
                if (to >= 0 && to < draft.stations.length) select({ ...selected, station: to });
              }}
            >
              <Together
                draft={draft}
                at={selected}
                findings={findings}
                change={history.change}
                select={(at) => select({ ...at, side: 'left', block: 0 })}
              />
            </LinePanel>
          </section>
        </div>
      )}
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
        choose={(entry, motion) =>
          lines.add.mutate({ motion, position: entry.position.id, id: edit.freshLineId(draft) })
        }
      />
    </div>
  );
}
