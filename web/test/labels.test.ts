import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { overlaps, placeLabels, type Box, type LabelWanted } from '../src/board/labels.ts';

const FRAME: Box = { left: 0, top: 0, right: 800, bottom: 600 };
const HEIGHT = 18;
const RADIUS = 9;

const wantedAt = (x: number, y: number, priority = 1, width = 60): LabelWanted => ({
  x,
  y,
  radius: RADIUS,
  width,
  priority,
  leads: true,
});

const symbolBox = ({ x, y, radius }: LabelWanted): Box => ({
  left: x - radius,
  right: x + radius,
  top: y - radius,
  bottom: y + radius,
});

const segments = (leader: readonly (readonly [number, number])[]) =>
  leader.slice(1).map((to, i) => [leader[i]!, to] as const);

/** Places of a long segment, one each pixel. */
function* points([[ax, ay], [bx, by]]: readonly [readonly [number, number], readonly [number, number]]) {
  const steps = Math.ceil(Math.hypot(bx - ax, by - ay));
  for (let i = 0; i <= steps; i++) yield [ax + ((bx - ax) * i) / steps, ay + ((by - ay) * i) / steps] as const;
}

const crowd = fc.array(
  fc.record({
    x: fc.integer({ min: 60, max: 740 }),
    y: fc.integer({ min: 60, max: 540 }),
    priority: fc.integer({ min: 1, max: 4 }),
    width: fc.integer({ min: 20, max: 120 }),
  }),
  { minLength: 1, maxLength: 90 },
);

describe('names on a plan', () => {
  it('stand to the right of a mark that is alone', () => {
    const { places, leftOut } = placeLabels([wantedAt(400, 300)], [], FRAME, HEIGHT);
    expect(leftOut).toBe(0);
    expect(places[0]!.leader).toBeNull();
    expect(places[0]!.box.left).toBeGreaterThan(409);
  });

  it('never lie over one another, over a mark, or outside of the plan; leaders cross no name and no other leader', () => {
    fc.assert(
      fc.property(crowd, (marks) => {
        const wanted = marks.map(({ x, y, priority, width }) => wantedAt(x, y, priority, width));
        const { places } = placeLabels(wanted, [], FRAME, HEIGHT);
        const named = places.flatMap((place) => (place ? [place] : []));
        named.forEach(({ box }, i) => {
          expect(wanted.some((each) => overlaps(symbolBox(each), box))).toBe(false);
          expect(named.some((other, j) => i !== j && overlaps(other.box, box))).toBe(false);
          expect([box.left >= 0, box.top >= 0, box.right <= 800, box.bottom <= 600]).toEqual([true, true, true, true]);
        });
        for (const { leader, box: own } of named)
          if (leader)
            for (const segment of segments(leader))
              for (const [x, y] of points(segment))
                for (const { box } of named)
                  if (box !== own) expect(x > box.left && x < box.right && y > box.top && y < box.bottom).toBe(false);
      }),
      { numRuns: 60 },
    );
  });

  it('the first priority is named whatever is around it, and what finds no room is counted', () => {
    const thick = Array.from({ length: 400 }, (_, i) =>
      wantedAt(300 + (i % 20) * 10, 200 + Math.floor(i / 20) * 10, 2),
    );
    const { places, leftOut } = placeLabels([...thick, wantedAt(400, 300, 0)], [], FRAME, HEIGHT);
    expect(places.at(-1)).not.toBeNull();
    expect(leftOut).toBe(places.filter((each) => each === null).length);
    expect(leftOut).toBeGreaterThan(200);
  });

  it('a huddle of piles is named at its edge, with leaders where nothing beside a pile is free', () => {
    const huddle = Array.from({ length: 36 }, (_, i) => ({
      ...wantedAt(400 + (i % 12) * 11, 300 + Math.floor(i / 12) * 11),
      // Drawn small where they stand so near to each other.
      radius: 5,
    }));
    const { places, leftOut } = placeLabels(huddle, [], FRAME, HEIGHT);
    expect(places.some((each) => Boolean(each?.leader))).toBe(true);
    expect(36 - leftOut).toBeGreaterThan(6);
  });

  it('leave what else is drawn readable', () => {
    const drawn: Box = { left: 412, right: 480, top: 290, bottom: 310 };
    const { places } = placeLabels([wantedAt(400, 300)], [drawn], FRAME, HEIGHT);
    expect(overlaps(places[0]!.box, drawn)).toBe(false);
  });
});
