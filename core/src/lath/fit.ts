/**
 * Which words have room on which side of a lath: lines are broken at blanks, and what is left over goes on the next
 * side.
 */
import { roomOn, STAKE_SIDES, type LathSize, type StakePart, type StakeSide } from './convention.ts';

export interface WrittenLine {
  readonly part: StakePart;
  readonly text: string;
  readonly ruled: boolean;
  /** It leads to something that is not usual here. */
  readonly unusual: boolean;
}

export interface FittedLine extends WrittenLine {
  /** As it is lettered, broken at blanks. */
  readonly rows: readonly string[];
}

export type StakeNotice =
  | { readonly code: 'MOVED'; readonly text: string; readonly from: StakeSide; readonly to: StakeSide }
  | { readonly code: 'NO_ROOM'; readonly text: string }
  | { readonly code: 'WORD_TOO_LONG'; readonly text: string; readonly characters: number };

export type StakeFaces = Readonly<Record<StakeSide, readonly FittedLine[]>>;

/** Breaks a text at blanks into rows of at most `characters`; a longer word stays whole in a row of its own. */
export function brokenAt(text: string, characters: number): string[] {
  const rows: string[] = [];
  for (const word of text.split(' ')) {
    const last = rows.at(-1);
    if (last !== undefined && [...last].length + 1 + [...word].length <= characters)
      rows[rows.length - 1] = `${last} ${word}`;
    else rows.push(word);
  }
  return rows;
}

const NEXT: Readonly<Record<StakeSide, readonly StakeSide[]>> = {
  front: ['right', 'left', 'back'],
  back: ['right', 'left'],
  left: ['back', 'right'],
  right: ['back', 'left'],
};

/**
 * Puts lines on the sides of a lath. Those that a side has no room for, from its last line up, go to the next side that
 * has; the first line of a side stays where it is. Nothing is dropped: what fits nowhere stays on its side and is told.
 */
export function fitStake(
  sides: Readonly<Record<StakeSide, readonly WrittenLine[]>>,
  lath: LathSize,
): { faces: StakeFaces; notices: StakeNotice[] } {
  const room = roomOn(lath);
  const notices: StakeNotice[] = [];
  const faces: Record<StakeSide, FittedLine[]> = { front: [], back: [], left: [], right: [] };
  const rowsOn = (side: StakeSide) => faces[side].reduce((sum, line) => sum + line.rows.length, 0);
  for (const side of STAKE_SIDES)
    for (const line of sides[side]) {
      const rows = brokenAt(line.text, room.characters);
      faces[side].push({ ...line, rows });
      for (const word of rows.filter((row) => [...row].length > room.characters))
        notices.push({ code: 'WORD_TOO_LONG', text: word, characters: room.characters });
    }
  for (const side of STAKE_SIDES) {
    const moved: { line: FittedLine; to: StakeSide }[] = [];
    for (let i = faces[side].length - 1; i > 0 && rowsOn(side) > room.lines; i--) {
      const line = faces[side][i]!;
      const to = NEXT[side].find(
        (other) =>
          rowsOn(other) +
            line.rows.length +
            moved.filter((each) => each.to === other).reduce((sum, each) => sum + each.line.rows.length, 0) <=
          room.lines,
      );
      if (to === undefined) continue;
      faces[side].splice(i, 1);
      moved.unshift({ line, to });
    }
    for (const { line, to } of moved) {
      faces[to].push(line);
      notices.push({ code: 'MOVED', text: line.text, from: side, to });
    }
  }
  for (const side of STAKE_SIDES)
    if (rowsOn(side) > room.lines)
      for (const line of overfull(faces[side], room.lines)) notices.push({ code: 'NO_ROOM', text: line.text });
  return { faces, notices };
}

function overfull(lines: readonly FittedLine[], room: number): FittedLine[] {
  let used = 0;
  return lines.filter((line) => (used += line.rows.length) > room);
}
