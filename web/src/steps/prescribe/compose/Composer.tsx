import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../../shared/api/client';
import { clock, words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { AddBlock, BlockInspector } from './BlockInspector';
import { FindingList } from './FindingList';
import { LibrarySheet } from './LibrarySheet';
import { LinePanel } from './LinePanel';
import { ScoreView } from './ScoreView';
import { WarmUp } from './WarmUp';
import { WaysOut } from './WaysOut';
import * as edit from './edit';
import { useComposerKeys } from './useComposerKeys';
import { useForms } from './useForms';
import { useHistory } from './useHistory';
import { usePreview } from './usePreview';

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
  const keep = useKeep(clientId, id, name, draft);
  const perSecond = zoom * fitting(preview?.totals?.seconds);
  const findings = preview?.findings ?? [];
  const blocked = findings.some((f) => f.severity === 'BLOCKING');
  const line = selected && edit.lineAt(draft, selected);
  const block = selected && edit.blockAt(draft, selected);

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
  const add = useMutation({
    mutationFn: ({ entry, motion }: { entry: Schemas['LibraryEntry']; motion: string }) =>
      ask(
        api.GET('/api/clients/{clientId}/score/line', {
          params: { path: { clientId }, query: { motion, position: entry.position.id, id: edit.freshLineId(draft) } },
        }),
      ),
    onSuccess: (line) => {
      history.change((d) => ({
        ...d,
        stations: [...d.stations, { rounds: 1, restSeconds: 0, oneSetUp: false, lines: [line] }],
      }));
      select({ station: draft.stations.length, line: 0, side: 'left', block: 0 });
      setLibrary(false);
    },
  });
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
            <a
              className="inline-flex min-h-11 items-center border border-rule bg-card px-4 font-semibold hover:bg-tread"
              href={`/api/clients/${clientId}/compositions/${id}/handout.pdf`}
              target="_blank"
              rel="noreferrer"
            >
              Hand-out (PDF)
            </a>
          )}
          <Button
            look="main"
            disabled={blocked || draft.stations.length === 0 || keep.isPending}
            onClick={() => keep.mutate()}
          >
            Keep the session
          </Button>
          {!isNew && draft === start && <span role="status">Kept.</span>}
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
      {preview?.timeline && (
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
          <section aria-label="Block">
            <div className="mb-3 flex flex-wrap items-center gap-2">
              <h2 className="mr-2 text-xl font-bold">
                {block ? forms.data.find((f) => f.form === block.form)?.words : 'No block'}
                <span className="font-normal text-soft">
                  {' '}
                  · {together && line.sides !== 'MIDLINE' ? 'both sides' : selected.side}
                </span>
              </h2>
              {line.sides !== 'MIDLINE' && (
                <label className="flex items-center gap-2">
                  <input type="checkbox" checked={together} onChange={(e) => setTogether(e.target.checked)} />
                  both sides together
                </label>
              )}
            </div>
            {block && (
              <BlockInspector
                block={block}
                place={edit.placeOf(selected)}
                forms={forms.data}
                findings={findings}
                change={changeBlock}
              />
            )}
            <div className="mt-4 flex flex-wrap gap-2">
              <AddBlock
                forms={forms.data}
                label="Add a block after it"
                add={(b) =>
                  changeList((all) => [...all.slice(0, selected.block + 1), b, ...all.slice(selected.block + 1)])
                }
              />
              {block && (
                <>
                  <Button
                    onClick={() => changeList((all) => all.flatMap((b, i) => (i === selected.block ? [b, b] : [b])))}
                  >
                    Copy
                  </Button>
                  <Button onClick={() => shiftBlock(-1)}>Earlier</Button>
                  <Button onClick={() => shiftBlock(1)}>Later</Button>
                  <Button onClick={() => changeList((all) => all.filter((_, i) => i !== selected.block))}>
                    Take out
                  </Button>
                </>
              )}
            </div>
            {block?.form === 'GRADED_SET' && (
              <WaysOut
                clientId={clientId}
                draft={draft}
                spot={selected}
                marks={preview?.forecast?.marks ?? []}
                change={changeBlock}
              />
            )}
          </section>
          <section aria-label="Line">
            <h2 className="mb-3 text-xl font-bold">
              {words(line.motion)}{' '}
              <span className="font-normal text-soft">
                · {catalogue.data?.positions.find((p) => p.id === line.position)?.name}
              </span>
            </h2>
            <LinePanel
              line={line}
              place={`stations[${selected.station}].lines[${selected.line}]`}
              sets={preview?.set.filter((s) => s.line === line.id) ?? []}
              position={catalogue.data?.positions.find((p) => p.id === line.position)}
              findings={findings}
              change={(key, make) => history.change((d) => edit.changeLine(d, selected, make), key)}
              remove={() => {
                history.change((d) => edit.removeLine(d, selected.station, selected.line));
                select(null);
              }}
              shift={(by) => {
                history.change((d) => edit.moveStation(d, selected.station, by));
                const to = selected.station + by;
                if (to >= 0 && to < draft.stations.length) select({ ...selected, station: to });
              }}
            />
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
      <Failure error={add.error} />
      <LibrarySheet
        clientId={clientId}
        open={library}
        setOpen={setLibrary}
        choose={(entry, motion) => add.mutate({ entry, motion })}
      />
    </div>
  );
}

/** Pixels a second at which the whole session fits into the window; never so few that steps cannot be told apart. */
function fitting(seconds: number | undefined): number {
  return Math.min(3, Math.max(0.5, (Math.min(1500, innerWidth) - 130) / (seconds || 600)));
}

function useKeep(clientId: string, id: string, name: string, draft: edit.Draft) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/clients/{clientId}/compositions/{compositionId}', {
          params: { path: { clientId, compositionId: id } },
          body: { name, draft },
        }),
      ),
    onSuccess: async (kept) => {
      queries.setQueryData(['composition', clientId, id], kept);
      await queries.invalidateQueries({ queryKey: ['compositions', clientId] });
      await navigate(`/clients/${clientId}/compose/${id}`, { replace: true });
    },
  });
}

type MinutesProps = {
  totals: Schemas['Totals'];
  findings: Schemas['Finding'][];
  clientId: string;
  draft: edit.Draft;
  put: (draft: edit.Draft) => void;
};

/** Honest minutes, and the way into fewer. */
function Minutes({ totals, findings, clientId, draft, put }: MinutesProps) {
  const tooLong = findings.find((f) => f.code === 'too-long');
  const shorten = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/clients/{clientId}/score/shorten', { params: { path: { clientId } }, body: { draft } })),
  });
  const { left, right } = totals.sides;
  return (
    <div className="my-3 flex flex-wrap items-end gap-x-8 gap-y-2" aria-live="polite">
      <p>
        <span className="text-5xl font-bold" data-testid="minutes">
          {clock(totals.seconds)}
        </span>{' '}
        <span className="text-soft">min, everything in it</span>
      </p>
      <p className="text-soft">
        under tension: left {left.pressSeconds + left.pullSeconds} s, right {right.pressSeconds + right.pullSeconds} s ·
        peak {totals.peak} %, {words(totals.effortClass)}
      </p>
      {tooLong && !shorten.data && (
        <Button onClick={() => shorten.mutate()} disabled={shorten.isPending}>
          What to shorten first?
        </Button>
      )}
      {shorten.data && tooLong && (
        <div className="w-full border-l-4 border-rule pl-3">
          <p className="font-semibold">
            {shorten.data.fits ? 'This would fit' : 'Even so it would not fit'}: {clock(shorten.data.seconds)} min
          </p>
          <ul>
            {shorten.data.cuts.map((c) => (
              <li key={c.place + c.name}>
                {words(c.form)}, {c.label}: {c.from} → {c.to}, saves {c.saves} s
              </li>
            ))}
          </ul>
          <Button className="mt-2" onClick={() => put(shorten.data.draft)}>
            Shorten it so
          </Button>
        </div>
      )}
      <Failure error={shorten.error} />
    </div>
  );
}

type LegendProps = {
  zoom: number;
  setZoom: (v: number) => void;
  forecast: Schemas['ForecastView'] | undefined;
};

function Legend({ zoom, setZoom, forecast }: LegendProps) {
  const borrowed = forecast?.pools.some((p) => p.borrowed) ?? false;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-6 gap-y-1 text-sm text-soft">
      <span>
        <span className="font-bold text-press">Press goes down</span>,{' '}
        <span className="font-bold text-pull">pull rises</span>; bands hold, rings move, ticks are breaths. Above:
        strength left by the fatigue model, a planning aid
        {borrowed && '; the hip has no published set, the more cautious of knee and trunk is taken'}.
      </span>
      <label className="flex items-center gap-2">
        Zoom
        <input
          type="range"
          min={1}
          max={8}
          step={0.25}
          value={zoom}
          onChange={(e) => setZoom(Number(e.target.value))}
        />
      </label>
    </div>
  );
}
