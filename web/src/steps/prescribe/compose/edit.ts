import { isOne, type Schemas } from '../../../shared/api/client';
import type { Block } from '../../../shared/blocks/block';

export { setNumber, setStep, type Block } from '../../../shared/blocks/block';

export type Draft = Schemas['SessionDraft'];
export type Line = Schemas['LineDraft'];
/** A line without its blocks. */
export type LineHead = Omit<Line, 'left' | 'right'>;
export type Form = Block['form'];
export type SideList = 'left' | 'right';

/** Whether two sets of props differ in nothing but the blocks of their line. */
export function sameButBlocks<P extends { line: LineHead }>(a: P, b: P): boolean {
  return alike(a, b, 'line') && alike<Partial<Line>>(a.line, b.line, 'left', 'right');
}

function alike<T extends object>(a: T, b: T, ...but: (keyof T)[]): boolean {
  return (Object.keys(b) as (keyof T)[]).every((name) => but.includes(name) || Object.is(a[name], b[name]));
}

/** Where a block stands: its station, line, side and index. */
export type Spot = { station: number; line: number; side: SideList; block: number };

/** stations[0].lines[1].left[2] → a spot; null for anything else. Findings and phases name their places so. */
export function spotOf(place: string): Spot | null {
  const found = /^stations\[(\d+)\]\.lines\[(\d+)\]\.(left|right)\[(\d+)\]/.exec(place);
  return found
    ? { station: Number(found[1]), line: Number(found[2]), side: found[3] as SideList, block: Number(found[4]) }
    : null;
}

export function placeOf(s: Spot): string {
  return `stations[${s.station}].lines[${s.line}].${s.side}[${s.block}]`;
}

export function lineAt(draft: Draft, s: { station: number; line: number }): Line | undefined {
  return draft.stations[s.station]?.lines[s.line];
}

export function blockAt(draft: Draft, s: Spot): Block | undefined {
  return lineAt(draft, s)?.[s.side][s.block];
}

export function changeLine(draft: Draft, at: { station: number; line: number }, change: (line: Line) => Line): Draft {
  return {
    ...draft,
    stations: draft.stations.map((station, i) =>
      i === at.station
        ? { ...station, lines: station.lines.map((line, j) => (j === at.line ? change(line) : line)) }
        : station,
    ),
  };
}

const other = (side: SideList): SideList => (side === 'left' ? 'right' : 'left');

/** Changes a block, and the same block of the other side while sides go together. */
export function changeBlock(draft: Draft, s: Spot, together: boolean, change: (block: Block) => Block): Draft {
  const form = blockAt(draft, s)?.form;
  return changeLine(draft, s, (line) => {
    const on = (side: SideList) => line[side].map((b, i) => (i === s.block && b.form === form ? change(b) : b));
    return { ...line, [s.side]: on(s.side), ...(together ? { [other(s.side)]: on(other(s.side)) } : {}) };
  });
}

/** Changes the lists of blocks themselves: to add, take out, copy and move. */
export function changeList(draft: Draft, s: Spot, together: boolean, change: (blocks: Block[]) => Block[]): Draft {
  return changeLine(draft, s, (line) => ({
    ...line,
    [s.side]: change(line[s.side]),
    ...(together && line[other(s.side)].length > 0 ? { [other(s.side)]: change(line[other(s.side)]) } : {}),
  }));
}

export function mirror(line: Line, from: SideList): Line {
  return { ...line, [other(from)]: line[from], unequalReason: '' };
}

/** Another plan of the sides: what becomes one dose is the left's, and what is split is given to both. */
export function onSides(line: Line, sides: Line['sides']): Line {
  if (isOne(sides)) return { ...line, sides, right: [], unequalReason: '' };
  const split = isOne(line.sides);
  return {
    ...line,
    sides,
    right: split ? line.left : line.right,
    angles: split ? { left: line.angles.left, right: line.angles.left } : line.angles,
  };
}

/** A band read at two lengths. */
export type Band = { slackCm: number; newtonsPerCm: number; cm: number };

/** The line pulls against a band from now on: on both sides, in the block that names its props, or in a new one. */
export function withBand(line: Line, { slackCm, newtonsPerCm, cm }: Band): Line {
  const rounded = (value: number, by: number) => Math.round(value / by) * by;
  const band = {
    'band-length': rounded(cm, 1),
    'band-slack': rounded(slackCm, 0.5),
    'band-force': Number(rounded(newtonsPerCm, 0.05).toFixed(2)),
  };
  const on = (blocks: Block[]): Block[] => {
    const at = blocks.findIndex((b) => b.form === 'PROP');
    if (at >= 0) return blocks.map((b, i) => (i === at ? { ...b, numbers: { ...b.numbers, ...band } } : b));
    return blocks.length === 0
      ? blocks
      : [{ form: 'PROP', numbers: band, words: {}, steps: [], blocks: [] }, ...blocks];
  };
  return { ...line, left: on(line.left), right: on(line.right) };
}

/** One extra set on the worse side, which goes first. */
export function worseSideMore(line: Line): Line {
  const side: SideList = line.firstSide === 'RIGHT' ? 'right' : 'left';
  const more = (block: Block): Block =>
    block.numbers['sets'] === undefined
      ? block
      : { ...block, numbers: { ...block.numbers, sets: block.numbers['sets'] + 1 } };
  return {
    ...line,
    [side]: line[side].map(more),
    unequalReason: line.unequalReason || 'the worse side gets one extra set',
  };
}

export function move<T>(items: T[], from: number, by: number): T[] {
  const to = from + by;
  if (to < 0 || to >= items.length) return items;
  const all = [...items];
  const [taken] = all.splice(from, 1);
  if (taken !== undefined) all.splice(to, 0, taken);
  return all;
}

export function moveStation(draft: Draft, from: number, by: number): Draft {
  return { ...draft, stations: move(draft.stations, from, by) };
}

export function changeStation(draft: Draft, at: number, part: Partial<Schemas['StationDraft']>): Draft {
  return { ...draft, stations: draft.stations.map((s, i) => (i === at ? { ...s, ...part } : s)) };
}

/** A station's lines are done together with those before it. */
export function joinToBefore(draft: Draft, at: number): Draft {
  const [before, joined] = [draft.stations[at - 1], draft.stations[at]];
  if (!before || !joined) return draft;
  const one = { ...before, lines: [...before.lines, ...joined.lines] };
  return { ...draft, stations: [...draft.stations.slice(0, at - 1), one, ...draft.stations.slice(at + 1)] };
}

/** A line leaves the others and is done after them, on its own. */
export function onItsOwn(draft: Draft, at: number, line: number): Draft {
  const station = draft.stations[at];
  const taken = station?.lines[line];
  if (!station || !taken || station.lines.length < 2) return draft;
  const rest = { ...station, lines: station.lines.filter((_, i) => i !== line) };
  const alone = { rounds: 1, restSeconds: 0, oneSetUp: false, lines: [taken] };
  const left = rest.lines.length < 2 ? { ...rest, oneSetUp: false } : rest;
  return { ...draft, stations: [...draft.stations.slice(0, at), left, alone, ...draft.stations.slice(at + 1)] };
}

export function removeLine(draft: Draft, station: number, line: number): Draft {
  return {
    ...draft,
    stations: draft.stations
      .map((s, i) => (i === station ? { ...s, lines: s.lines.filter((_, j) => j !== line) } : s))
      .filter((s) => s.lines.length > 0),
  };
}

/** A line of the client's program as it stands in a session. */
export function lineOf({ line, plan }: Schemas['CurrentLine']): Line {
  const { doses, ...shared } = plan;
  return {
    ...shared,
    id: line.id,
    angles: { left: doses.left.angle, right: doses.right.angle },
    left: doses.left.blocks,
    right: doses.right.blocks,
  };
}
