/** What the finder goes to. */
export type Place = { kind: string; name: string; also?: string; to: string };

const MOST = 10;

/** Every word typed begins a word of the name, or of what else is said; names come first. */
export function found(places: Place[], typed: string): Place[] {
  const wanted = plain(typed).split(' ').filter(Boolean);
  if (wanted.length === 0) return places.slice(0, MOST);
  return places
    .map((place) => ({ place, rank: rank(place, wanted) }))
    .filter((hit) => hit.rank < 9)
    .sort((a, b) => a.rank - b.rank || a.place.name.localeCompare(b.place.name))
    .slice(0, MOST)
    .map((hit) => hit.place);
}

function rank({ name, also }: Place, wanted: string[]): number {
  const own = plain(name);
  const all = `${own} ${plain(also ?? '')}`;
  if (own.startsWith(wanted.join(' '))) return 0;
  if (wanted.every((w) => begins(own, w))) return 1;
  if (wanted.every((w) => begins(all, w))) return 2;
  return wanted.every((w) => own.includes(w)) ? 3 : 9;
}

function begins(text: string, word: string): boolean {
  return ` ${text}`.includes(` ${word}`);
}

/** Without case and accents. */
export function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}
