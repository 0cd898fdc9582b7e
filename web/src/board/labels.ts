/**
 * Where the names on a plan go: by priority, never over one another and never over what is drawn, at eight places round
 * their mark, then at the end of a leader with one bend that crosses no other. What finds no room is counted, not
 * drawn; the chosen mark is always named.
 */

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export interface LabelWanted {
  /** Place of what is named, pixels, and half the side of the box that its symbol fills. */
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  /** Width of the text as it is drawn. */
  readonly width: number;
  /** The lowest is placed first; 0 is named whatever it covers. */
  readonly priority: number;
  /** May stand away from its mark, at the end of a leader. */
  readonly leads: boolean;
}

export interface LabelPlace {
  readonly box: Box;
  /** From the symbol over one bend to the label; null where it stands beside it. */
  readonly leader: readonly (readonly [number, number])[] | null;
}

export interface PlacedLabels {
  /** In the order of what was wanted; null where there was no room. */
  readonly places: readonly (LabelPlace | null)[];
  /** How many names are left away. */
  readonly leftOut: number;
}

export const overlaps = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const CELL_PX = 48;

/** Boxes by the squares they touch: hundreds of names are tried against hundreds of symbols at every drawing. */
class Boxes {
  readonly #cells = new Map<number, Box[]>();

  #each(box: Box, act: (key: number) => boolean | void): boolean {
    for (let i = Math.floor(box.left / CELL_PX); i <= Math.floor(box.right / CELL_PX); i++)
      for (let j = Math.floor(box.top / CELL_PX); j <= Math.floor(box.bottom / CELL_PX); j++)
        if (act(i * 100_003 + j) === true) return true;
    return false;
  }

  add(box: Box): void {
    this.#each(box, (key) => {
      const list = this.#cells.get(key);
      if (list) list.push(box);
      else this.#cells.set(key, [box]);
    });
  }

  meets(box: Box, own: Box | null = null): boolean {
    return this.#each(box, (key) => this.#cells.get(key)?.some((each) => each !== own && overlaps(each, box)) ?? false);
  }
}

type Segment = readonly [number, number, number, number];

/** Whether two segments cross or touch. */
function cross([ax, ay, bx, by]: Segment, [cx, cy, dx, dy]: Segment): boolean {
  const side = (px: number, py: number, qx: number, qy: number, rx: number, ry: number) =>
    Math.sign((qx - px) * (ry - py) - (qy - py) * (rx - px));
  return (
    side(ax, ay, bx, by, cx, cy) * side(ax, ay, bx, by, dx, dy) <= 0 &&
    side(cx, cy, dx, dy, ax, ay) * side(cx, cy, dx, dy, bx, by) <= 0 &&
    Math.min(ax, bx) <= Math.max(cx, dx) &&
    Math.min(cx, dx) <= Math.max(ax, bx) &&
    Math.min(ay, by) <= Math.max(cy, dy) &&
    Math.min(cy, dy) <= Math.max(ay, by)
  );
}

const GAP_PX = 4;
/** How far a leader reaches, and in how many directions it is tried. */
const REACHES_PX = [26, 42, 62, 86];
const WAYS = 12;
/** The level piece of a leader at its label. */
const LEVEL_PX = 8;
/** More leaders than this are a thicket that nobody follows. */
const MOST_LEADERS = 40;
/** Where so many found no room with one, the next will not either: a drawing is made anew at every move. */
const MOST_FAILED = 25;
const STEP_PX = 5;

/** Small boxes along a segment: what a leader would run over. */
function* along([ax, ay, bx, by]: Segment): Generator<Box> {
  const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / STEP_PX));
  for (let i = 1; i <= steps; i++) {
    const [x, y] = [ax + ((bx - ax) * i) / steps, ay + ((by - ay) * i) / steps];
    yield { left: x - 1, right: x + 1, top: y - 1, bottom: y + 1 };
  }
}

/**
 * @param wanted what is to be named
 * @param drawn what no name may cover, besides the symbols that are named
 * @param frame names stay within it
 * @param height of the letters with the room around them, pixels
 */
export function placeLabels(
  wanted: readonly LabelWanted[],
  drawn: readonly Box[],
  frame: Box,
  height: number,
): PlacedLabels {
  const taken = new Boxes();
  for (const box of drawn) taken.add(box);
  const own = wanted.map(({ x, y, radius }) => ({
    left: x - radius,
    right: x + radius,
    top: y - radius,
    bottom: y + radius,
  }));
  for (const box of own) taken.add(box);
  const leaders: Segment[] = [];
  const lines = new Boxes();
  const places: (LabelPlace | null)[] = wanted.map(() => null);
  const isInside = (box: Box): boolean =>
    box.left >= frame.left && box.right <= frame.right && box.top >= frame.top && box.bottom <= frame.bottom;
  const isFree = (box: Box): boolean => isInside(box) && !taken.meets(box) && !lines.meets(box);
  const take = (i: number, place: LabelPlace) => {
    places[i] = place;
    taken.add(place.box);
    const { leader } = place;
    for (let k = 1; leader && k < leader.length; k++) {
      const piece: Segment = [leader[k - 1]![0], leader[k - 1]![1], leader[k]![0], leader[k]![1]];
      leaders.push(piece);
      for (const box of along(piece)) lines.add(box);
    }
  };
  const order = wanted.map((_, i) => i).sort((a, b) => wanted[a]!.priority - wanted[b]!.priority || a - b);
  let [led, failed] = [0, 0];
  for (const i of order) {
    const { x, y, radius, width, priority, leads } = wanted[i]!;
    const away = radius + GAP_PX;
    const at = (left: number, middle: number): Box => ({
      left,
      right: left + width,
      top: middle - height / 2,
      bottom: middle + height / 2,
    });
    const over = away + height / 2;
    const beside = [
      at(x + away, y),
      at(x - away - width, y),
      at(x + radius * 0.8, y - over),
      at(x + radius * 0.8, y + over),
      at(x - radius * 0.8 - width, y - over),
      at(x - radius * 0.8 - width, y + over),
      at(x - width / 2, y - over),
      at(x - width / 2, y + over),
    ];
    const free = beside.find(isFree);
    if (free) {
      take(i, { box: free, leader: null });
      continue;
    }
    const place = leads && led < MOST_LEADERS && failed < MOST_FAILED ? atLeader() : null;
    if (place) {
      led += 1;
      take(i, place);
    } else {
      if (leads) failed += 1;
      if (priority === 0) take(i, { box: beside.find(isInside) ?? beside[0]!, leader: null });
    }

    function atLeader(): LabelPlace | null {
      for (const reach of REACHES_PX)
        for (let k = 0; k < WAYS; k++) {
          const angle = ((k + 0.5) * 2 * Math.PI) / WAYS;
          const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
          const toRight = cos > 0;
          const [bx, by] = [x + reach * cos, y + reach * sin];
          const end = bx + (toRight ? LEVEL_PX : -LEVEL_PX);
          const box = at(toRight ? end + 2 : end - 2 - width, by);
          if (!isFree(box)) continue;
          const from = [x + (radius + 1) * cos, y + (radius + 1) * sin] as const;
          const pieces: Segment[] = [
            [...from, bx, by],
            [bx, by, end, by],
          ];
          if (pieces.some((piece) => leaders.some((other) => cross(piece, other)))) continue;
          if (pieces.some((piece) => [...along(piece)].some((each) => taken.meets(each, own[i])))) continue;
          return { box, leader: [from, [bx, by], [end, by]] };
        }
      return null;
    }
  }
  return { places, leftOut: places.filter((each) => each === null).length };
}
