import { words } from '../../shared/units';

/** A block's id as it is said under its side: "l1:left-2-press~easier" is "set 2 press, easier". */
export function blockWords(id: string): string {
  const [block = '', variant] = id.replace(/^.*:/, '').split('~');
  const said = words(block.replace(/^(left|right|midline)-/, '').replace(/^(\d+)-/, 'set $1 '));
  return variant ? `${said}, ${variant}` : said;
}
