/**
 * Which words have room on which side of a lath. Lines that run across it are broken at blanks; along it several
 * stand in a row, with a stroke between them. What is left over goes on the next side.
 */
import { roomOn, STAKE_SIDES, type LathSize, type StakePart, type StakeSide } from './convention.ts';

export interface WrittenLine {
  readonly part: StakePart;
  readonly text: string;
  readonly ruled: boolean;
  /** It leads to something that is not usual here. */
  readonly unusual: boolean;
}

export type StakeNotice =
  | { readonly code: 'MOVED'; readonly text: string; readonly from: StakeSide; readonly to: StakeSide }
  | { readonly code: 'NO_ROOM'; readonly text: string }
  | { readonly code: 'WORD_TOO_LONG'; readonly text: string; readonly characters: number };

export type StakeFaces = Readonly<Record<StakeSide, readonly WrittenLine[]>>;

/** A piece of a line, as it is lettered. */
export interface StakePiece extends Pick<WrittenLine, 'text' | 'ruled' | 'unusual'> {
  /** The line that it is of, counted on its side. */
  readonly of: number;
}
/** What is lettered in one row: along a lath more lines than one. */
export type StakeRow = readonly StakePiece[];

/** A stroke right over the lath, and the room on both sides of it, in letters. */
const STROKE = 3;

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

const lettersOf = (row: StakeRow): number =>
  row.reduce((sum, { text }, i) => sum + [...text].length + (i === 0 ? 0 : STROKE), 0);

/** How the lines of one side are lettered, row by row. */
export function rowsOf(lines: readonly WrittenLine[], lath: LathSize): StakeRow[] {
  const { characters } = roomOn(lath);
  const rows: StakePiece[][] = [];
  lines.forEach(({ text, ruled, unusual }, of) => {
    const broken = brokenAt(text, characters);
    const pieces = broken.map((piece, i) => ({ text: piece, ruled: ruled && i === broken.length - 1, unusual, of }));
    const last = rows.at(-1);
    if (lath.writing === 'along' && last && pieces.length === 1 && lettersOf([...last, ...pieces]) <= characters)
      last.push(...pieces);
    else rows.push(...pieces.map((piece) => [piece]));
  });
  return rows;
}

/** What is built from stands in front; what has no room there goes to the back before it goes to a narrow side. */
const NEXT: Readonly<Record<StakeSide, readonly StakeSide[]>> = {
  front: ['back', 'right', 'left'],
  back: ['right', 'left'],
  left: ['back', 'right'],
  right: ['back', 'left'],
};

/** What a crew builds from: it leaves its side only when nothing else is left to go. */
const BUILT_FROM: readonly StakePart[] = ['offset', 'to', 'angle', 'cutFill', 'also'];

/** In which order the lines of a side give way: from the last up, what is built from after all others. */
function givingWay(lines: readonly WrittenLine[]): WrittenLine[] {
  const up = [...lines].reverse();
  const isBuiltFrom = ({ part }: WrittenLine) => BUILT_FROM.includes(part);
  return [...up.filter((line) => !isBuiltFrom(line)), ...up.filter(isBuiltFrom)].slice(0, -1);
}

/**
 * Puts lines on the sides of a lath. Those that a side has no room for go to the next side that has, of those that are
 * open; one line at least stays on its side. Nothing is dropped: what fits nowhere stays on its side and is told.
 */
export function fitStake(
  sides: Readonly<Record<StakeSide, readonly WrittenLine[]>>,
  lath: LathSize,
  open: readonly StakeSide[] = STAKE_SIDES,
): { faces: StakeFaces; notices: StakeNotice[] } {
  const room = roomOn(lath);
  const notices: StakeNotice[] = [];
  const faces: Record<StakeSide, WrittenLine[]> = { front: [], back: [], left: [], right: [] };
  for (const side of STAKE_SIDES) {
    faces[side].push(...sides[side]);
    for (const { text } of sides[side])
      for (const word of brokenAt(text, room.characters).filter((row) => [...row].length > room.characters))
        notices.push({ code: 'WORD_TOO_LONG', text: word, characters: room.characters });
  }
  const isOver = (lines: readonly WrittenLine[]) => rowsOf(lines, lath).length > room.lines;
  for (const side of STAKE_SIDES) {
    const moved: { line: WrittenLine; to: StakeSide }[] = [];
    const withLine = (other: StakeSide, line: WrittenLine) => [
      ...faces[other],
      line,
      ...moved.filter(({ to }) => to === other).map((each) => each.line),
    ];
    for (const line of givingWay(faces[side])) {
      if (!isOver(faces[side])) break;
      const to = NEXT[side].find((other) => open.includes(other) && !isOver(withLine(other, line)));
      if (to === undefined) continue;
      faces[side].splice(faces[side].indexOf(line), 1);
      moved.push({ line, to });
    }
    moved.sort((one, other) => sides[side].indexOf(one.line) - sides[side].indexOf(other.line));
    for (const { line, to } of moved) {
      faces[to].push(line);
      notices.push({ code: 'MOVED', text: line.text, from: side, to });
    }
  }
  for (const side of STAKE_SIDES) {
    const beyond = new Set(
      rowsOf(faces[side], lath)
        .slice(room.lines)
        .flatMap((row) => row.map(({ of }) => of)),
    );
    for (const of of beyond) notices.push({ code: 'NO_ROOM', text: faces[side][of]!.text });
  }
  return { faces, notices };
}
