import type { CheckResult, LengthUnit, ProofOutcome } from '@idle-marker/core';
import { smallLength } from './small.ts';

export const PROOF_OUTCOME: Readonly<Record<ProofOutcome, string>> = {
  good: 'good',
  moreThanChance: 'within tolerance, but more than chance',
  outside: 'outside',
  notMeasured: 'not measured',
};

/** The proof's outcome in one sentence with its figures. */
export function proofSentence(name: string, check: CheckResult, plan: ProofOutcome, height: ProofOutcome, unit: LengthUnit): string {
  const parts: string[] = [];
  if (check.plan && plan !== 'notMeasured') {
    const { dAlong, dAcross, horizontal } = check.plan;
    parts.push(
      `${smallLength(horizontal, unit)} in plan (${smallLength(dAlong, unit)} ${dAlong >= 0 ? 'farther' : 'nearer'}, ${smallLength(dAcross, unit)} ${dAcross >= 0 ? 'right' : 'left'} of the line of sight)`,
    );
  }
  if (check.height && height !== 'notMeasured')
    parts.push(`${smallLength(check.height.dZ, unit)} ${check.height.dZ >= 0 ? 'above' : 'below'} its listed height`);
  return `${name} measures ${parts.join(' and ')}.`;
}

/** What the outcome means and what to do, and how it is shown. */
export function proofVerdict(
  plan: ProofOutcome,
  height: ProofOutcome,
  independent: boolean,
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
  if (!independent) {
    return {
      tone: 'good',
      title: 'Nothing has moved since',
      text: 'This mark was used by the station itself, so the sight shows that it still stands as it did, not that it was right. Sight an unused mark too.',
    };
  }
  return { tone: 'good', title: 'The station holds', text: 'Go on.' };
}
