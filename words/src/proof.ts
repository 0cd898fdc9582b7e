import { formatSigned, type CheckResult, type LengthUnit, type Part, type PartStanding, type Proposal, type ProofOutcome } from '@idle-marker/core';
import { partsWords } from './claim.ts';
import { smallLength, smallUnit } from './small.ts';
import { STANDING, STANDING_REASON } from './vocabulary.ts';

export const PROOF_OUTCOME: Readonly<Record<ProofOutcome, string>> = {
  good: 'good',
  moreThanChance: 'within tolerance, but more than chance',
  outside: 'outside',
  notMeasured: 'not measured',
};

/** The proof's outcome in one sentence with its figures. */
export function proofSentence(
  name: string,
  check: CheckResult,
  plan: ProofOutcome,
  height: ProofOutcome,
  unit: LengthUnit,
  compared: 'listed' | 'set' = 'listed',
): string {
  const parts: string[] = [];
  if (check.plan && plan !== 'notMeasured') {
    const { dAlong, dAcross, horizontal } = check.plan;
    parts.push(
      `${smallLength(horizontal, unit)} in plan (${smallLength(dAlong, unit)} ${dAlong >= 0 ? 'farther' : 'nearer'}, ${smallLength(dAcross, unit)} ${dAcross >= 0 ? 'right' : 'left'} of the line of sight)`,
    );
  }
  if (check.height && height !== 'notMeasured')
    parts.push(
      `${smallLength(check.height.dZ, unit)} ${check.height.dZ >= 0 ? 'above' : 'below'} ${compared === 'listed' ? 'its listed height' : 'where its top was'}`,
    );
  return `${name} measures ${parts.join(' and ')}.`;
}

/**
 * What the outcome means and what to do, and how it is shown.
 *
 * @param stillUnproven parts of the station that nothing has proved, this proof counted
 * @param stillFailed parts in which an earlier proof speaks against it, this proof counted
 */
export function proofVerdict(
  plan: ProofOutcome,
  height: ProofOutcome,
  independent: boolean,
  stillUnproven: readonly Part[] = [],
  stillFailed: readonly Part[] = [],
): { readonly tone: 'good' | 'ochre' | 'brick'; readonly title: string; readonly text: string } {
  const outcomes = [plan, height];
  if (outcomes.includes('outside')) {
    const what = plan === 'outside' ? (height === 'outside' ? 'plan and height' : 'plan') : 'height';
    return {
      tone: 'brick',
      title: `Stop: the proof fails in ${what}`,
      text: 'Is it the right mark, the right target height, the pole plumb? Sight it again. If it repeats, sight a third mark: two agreeing ones tell whether the mark or the instrument has moved.',
    };
  }
  if (outcomes.every((each) => each === 'notMeasured'))
    return { tone: 'ochre', title: 'Nothing was compared', text: 'This mark has neither plan nor height that can be used. Sight another.' };
  if (outcomes.includes('moreThanChance')) {
    return {
      tone: 'ochre',
      title: 'Within tolerance, but more than chance',
      text: 'It may go on, yet the difference is larger than the instrument’s noise explains. Sight it a second time.',
    };
  }
  if (stillFailed.length > 0) {
    return {
      tone: 'brick',
      title: 'This one is good, an earlier one was not',
      text: `Nothing has answered the proof that failed in ${partsWords(stillFailed)}: sight a third mark, which tells whether that mark or the instrument has moved.`,
    };
  }
  if (!independent) {
    return {
      tone: 'good',
      title: 'Nothing has moved since',
      text: 'This mark was used by the station itself, so the sight shows that it still stands as it did, not that it was right. Sight an unused mark too.',
    };
  }
  const [part] = stillUnproven;
  if (part && stillUnproven.length === 1)
    return {
      tone: 'ochre',
      title: `The station holds in ${part === 'plan' ? 'height' : 'plan'}`,
      text:
        part === 'height'
          ? 'Nothing has proved its height yet: sight a mark with a height that it did not use, before anything gets a cut or a fill.'
          : 'Nothing has proved its plan yet: sight a mark that it did not use in plan.',
    };
  return { tone: 'good', title: 'The station holds', text: 'Go on.' };
}

/** One step of the shortest way to clear what is in doubt: what to do, and why. */
export function clearWords(proposal: Proposal, mark: string | null, station: string, unproven: readonly Part[] = []): string {
  const why = STANDING_REASON[proposal.because];
  switch (proposal.action) {
    case 'sightUnused':
      if (unproven.length === 1)
        return `Sight one mark${unproven[0] === 'height' ? ' with a height' : ''} that ${station} did not use: nothing independent has proved its ${unproven[0]!} yet.`;
      return `Sight one mark that ${station} did not use: ${proposal.because === 'ONLY_REPEATS' ? 'so far only marks that it used were sighted again' : 'nothing independent has proved it yet'}.`;
    case 'thirdTarget':
      return `Sight a third mark from ${station}: one was good, one was not, and it must be told which is right.`;
    case 'resight':
      return `Sight ${mark ?? 'the mark'} again from a proven station: ${why}.`;
    case 'setAgain':
      return `Set ${mark ?? 'the mark'} again: ${why}.`;
  }
}

/** What a set mark sighted again tells. */
export function resightVerdict(
  plan: ProofOutcome,
  height: ProofOutcome,
  own: boolean,
): { readonly tone: 'good' | 'ochre' | 'brick'; readonly title: string; readonly text: string } {
  const outcomes = [plan, height];
  if (outcomes.includes('outside')) {
    return own
      ? {
          tone: 'brick',
          title: 'Something has moved since it was set',
          text: 'Either this mark or the instrument. Prove the station on an unused mark now: that tells which.',
        }
      : {
          tone: 'brick',
          title: 'It is not where it was set',
          text: 'Hold the pole plumb and sight it again. If it repeats, the list of what would clear it says which mark comes next.',
        };
  }
  if (outcomes.every((each) => each === 'notMeasured')) return { tone: 'ochre', title: 'Nothing was compared', text: 'Sight another mark.' };
  return own
    ? { tone: 'good', title: 'Mark and instrument stand as they did', text: 'It shows that nothing moved since, not that the station was right.' }
    : { tone: 'good', title: 'It is where it was set', text: 'Its station stood right when it was set, if this one does.' };
}

/** What it does to one mark when a control mark of its station has moved. */
export function effectWords(
  effect: { readonly planMm: number | null; readonly heightMm: number | null },
  parts: { readonly plan: boolean; readonly height: boolean },
  asked: { readonly plan: number; readonly height: number },
  unit: LengthUnit,
): { readonly text: string; readonly out: boolean } {
  const told = [
    ...(parts.plan ? [{ mm: effect.planMm, limit: asked.plan, word: 'in plan' }] : []),
    ...(parts.height ? [{ mm: effect.heightMm, limit: asked.height, word: 'in height' }] : []),
  ];
  if (told.some((each) => each.mm === null)) return { text: 'can’t be computed without it: in doubt', out: true };
  const out = told.some((each) => Math.abs(each.mm!) / 1000 > each.limit);
  const sizes = told.map((each) => `${smallLength(each.mm! / 1000, unit)} ${each.word}`).join(', ');
  return { text: `${sizes}: ${out ? 'out' : 'inside its tolerance, stands'}`, out };
}

/** Why one part of a mark stands as it does, with the time of what it rests on. */
export function hangsWords(part: PartStanding, at: string | null): string {
  const because = part.because.map((reason) => STANDING_REASON[reason]).join('; ');
  return `${STANDING[part.standing]}: ${because}${at === null ? '' : ` (${at})`}`;
}

/** What a proof measured, as the computation keeps it; null for what was not compared. */
export interface ProofFigures {
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
}

/** "plan 3 mm (E +2, N −2), height +1 mm"; empty where nothing was compared. */
export function proofFigureWords({ dEMm, dNMm, dZMm }: ProofFigures, unit: LengthUnit, axes: 'EN' | 'NE'): string {
  const small = smallUnit(unit);
  const figure = (mm: number) => formatSigned((mm / 1000) * small.perMetre, small.decimals);
  const parts: string[] = [];
  if (dEMm !== null && dNMm !== null) {
    const [east, north] = [`E ${figure(dEMm)}`, `N ${figure(dNMm)}`];
    const level = smallLength(Math.hypot(dEMm, dNMm) / 1000, unit);
    parts.push(`plan ${level} (${axes === 'EN' ? `${east}, ${north}` : `${north}, ${east}`})`);
  }
  if (dZMm !== null) parts.push(`height ${figure(dZMm)} ${small.name}`);
  return parts.join(', ');
}
