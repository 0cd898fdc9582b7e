/** The shortest way to clear what is in doubt. */
import { grouped } from './grouped.ts';
import { PARTS, type Part } from './records.ts';
import { isSpokenAgainst, solutionPart, type JudgedMark, type PartView, type StandingReason } from './standing.ts';
import type { Occupied } from './site.ts';

export type ProposedAction = 'sightUnused' | 'thirdTarget' | 'resight' | 'setAgain';
export interface Proposal {
  readonly action: ProposedAction;
  readonly occupation: string;
  readonly solution: string;
  readonly because: StandingReason;
  /** Absent for what the station as a whole wants. */
  readonly mark?: string;
}

interface SetMark {
  readonly id: string;
  readonly rank: number;
  readonly because: StandingReason;
}

/** What one part asks of one mark. `clearsOthers`: a good re-sight tells about more marks than this one. */
interface Wish {
  readonly mark: SetMark;
  readonly action: 'resight' | 'setAgain';
  readonly clearsOthers: boolean;
}

const RESIGHT_BY_ITSELF: readonly StandingReason[] = [
  'STATION_WITHDRAWN',
  'SET_AFTER_END',
  'CONTROL_MOVED',
  'RECOMPUTED',
  'REPEAT_FAILED',
];

/**
 * Marks in doubt because the station is: one re-sight at a time halves what is left, until nothing lies before the
 * first bad evidence.
 */
function searchForMoment(
  view: PartView,
  solution: Occupied,
  marks: readonly SetMark[],
  setAgain: ReadonlySet<string>,
): Wish[] {
  const inDoubt = marks.filter(
    (mark) => mark.because === 'PROOF_FAILED' || (mark.because === 'PROOFS_DISAGREE' && !solution.inForce),
  );
  const { good, bad } = view.lines.of(solution.record.id);
  const [firstBad] = bad;
  if (inDoubt.length === 0 || !firstBad) return [];
  const resight = (mark: SetMark): Wish => ({ mark, action: 'resight', clearsOthers: true });
  const disagree = good.some((each) => each.rank > firstBad.rank);
  const oneMark = firstBad.mark !== null && bad.every((each) => each.mark === firstBad.mark);
  // What the other part wants set again is not sighted for the search: it would be gone, and the search with it.
  const left = inDoubt.filter((mark) => !setAgain.has(mark.id));
  const after = left.filter((mark) => mark.rank > firstBad.rank);
  if ((disagree || oneMark) && after.length > 0 && !after.some((mark) => isSpokenAgainst(view, mark.id)))
    return [resight(after.at(-1)!)];
  const before = left.filter((mark) => mark.rank < firstBad.rank);
  if (before.length === 0) return left.map((mark) => ({ mark, action: 'setAgain', clearsOthers: false }));
  return [resight(firstBad.mark === null ? before.at(-1)! : before[Math.floor(before.length / 2)]!)];
}

function wishesOf(
  view: PartView,
  solution: Occupied,
  marks: readonly SetMark[],
  setAgain: ReadonlySet<string>,
): Wish[] {
  const lastOf = (...reasons: readonly StandingReason[]): Wish[] => {
    const mark = solution.inForce ? undefined : marks.findLast((each) => reasons.includes(each.because));
    return mark ? [{ mark, action: 'resight', clearsOthers: true }] : [];
  };
  return [
    ...searchForMoment(view, solution, marks, setAgain),
    ...lastOf('NEVER_PROVEN', 'ONLY_REPEATS'),
    ...lastOf('NOT_PROVEN_SINCE'),
    ...marks.flatMap((mark): Wish[] => {
      if (RESIGHT_BY_ITSELF.includes(mark.because)) return [{ mark, action: 'resight', clearsOthers: false }];
      return mark.because === 'MARK_DISTURBED' ? [{ mark, action: 'setAgain', clearsOthers: false }] : [];
    }),
  ];
}

function stationWide(
  view: PartView,
  solution: Occupied,
): readonly { readonly action: ProposedAction; readonly because: StandingReason }[] {
  if (!solution.inForce) return [];
  const state = solutionPart(view, solution);
  // Proofs of a part that the station itself does not use can disagree, too, and marks hang on them.
  const { good, bad } = view.lines.of(solution.record.id);
  const [firstBad] = bad;
  if (firstBad && good.some((each) => each.rank > firstBad.rank))
    return [{ action: 'thirdTarget', because: 'PROOFS_DISAGREE' }];
  if (state !== 'unproven') return [];
  return [
    { action: 'sightUnused', because: view.lines.of(solution.record.id).goodRepeat ? 'ONLY_REPEATS' : 'NEVER_PROVEN' },
  ];
}

/** What one solution asks for. `marks` were set with it, in order of setting. */
export function proposalsOf(
  views: Readonly<Record<Part, PartView>>,
  solution: Occupied,
  marks: readonly JudgedMark[],
): Proposal[] {
  const { id, occupation } = solution.record;
  const wide = PARTS.flatMap((part) => stationWide(views[part], solution));
  const disturbed = (part: Part) =>
    marks.filter(({ standing }) => standing[part].because[0] === 'MARK_DISTURBED').map(({ standing }) => standing.id);
  const wishes = PARTS.flatMap((part) => {
    const setAgain = new Set(PARTS.filter((other) => other !== part).flatMap(disturbed));
    const wanting = marks
      .filter(({ standing }) => standing[part].standing !== 'held')
      .map(({ rank, standing }) => ({ id: standing.id, rank, because: standing[part].because[0]! }));
    return wishesOf(views[part], solution, wanting, setAgain);
  });
  const wanted = [...grouped(wishes, (wish) => wish.mark.id).values()].map((asked) => {
    // Setting again makes sighting again needless; else the part that asks first says why.
    const [first] = [...asked.filter((wish) => wish.action === 'setAgain'), ...asked];
    const clearsOthers = first!.action === 'resight' && asked.some((wish) => wish.clearsOthers);
    return { action: first!.action, because: first!.mark.because, mark: first!.mark, clearsOthers };
  });
  wanted.sort((a, b) => Number(b.clearsOthers) - Number(a.clearsOthers) || a.mark.rank - b.mark.rank);
  return [
    ...(['sightUnused', 'thirdTarget'] as const).flatMap((action) => {
      const asked = wide.find((each) => each.action === action);
      return asked ? [{ action, occupation, solution: id, because: asked.because }] : [];
    }),
    ...wanted.map(({ action, because, mark }) => ({ action, occupation, solution: id, because, mark: mark.id })),
  ];
}
