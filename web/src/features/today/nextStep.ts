/** What to do next, as one sentence with its button, from the state of everything. */
import { claimOf, pairedDue, proofCandidates, restakeList } from '@idle-marker/records';
import { count, PAIRED_DUE, proveFirstTitle, unprovenWords } from '@idle-marker/words';
import type { OpenSite } from '../../site/SiteContext.tsx';
import type { Fact } from '@idle-marker/contract';
import type { ProofAge } from '@idle-marker/records';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export interface NextStep {
  readonly title: string;
  readonly text: string;
  readonly to: string;
  readonly button: string;
  readonly tone: 'spruce' | 'ochre' | 'brick';
}

export function nextStep(site: OpenSite, proof: ProofAge | null, doubtfulMarks: readonly Fact<'mark'>[], toSet: number): NextStep {
  const { state, inForce, occupation, paired } = site;
  const doubtful = doubtfulMarks.length;
  const again = [...new Map([...doubtfulMarks, ...restakeList(state).map(({ mark }) => mark)].map((mark) => [mark.id, mark])).values()];
  const first = again[0]?.body;
  const usable = state.control.filter((mark) => mark.revision.body.condition !== 'lost' && mark.revision.body.usePlan).length;
  if (usable < 2) {
    return {
      title: 'List the control marks',
      text: `A station needs at least two marks with known coordinates; ${usable === 0 ? 'none is' : 'one is'} listed. Three check it, four can name a bad one.`,
      to: 'control',
      button: 'To Control',
      tone: 'ochre',
    };
  }
  if (state.packages.length === 0) {
    return {
      title: 'Say what is to be marked',
      text: 'A work package turns an outline into offset hubs for a crew.',
      to: 'design',
      button: 'To the work',
      tone: 'spruce',
    };
  }
  if (paired) {
    const [due] = pairedDue(state, paired);
    const failed = due?.endsWith('FAILED') ?? false;
    return {
      title: due ? PAIRED_DUE[due].title : `Go on marking: ${toSet} to set`,
      text: due ? PAIRED_DUE[due].text : `Plan and height of ${paired.solution.body.name} are proved: plan from the receiver, height from the instrument.`,
      to: 'mark/receiver',
      button: due ? 'To the known marks' : 'To Mark',
      tone: failed ? 'brick' : due ? 'ochre' : 'spruce',
    };
  }
  if (!occupation || !inForce) {
    return occupation
      ? {
          title: `Finish stationing ${occupation.body.name}`,
          text: 'It is set up, but not accepted yet. Nothing can be set from it.',
          to: 'station',
          button: 'Go on',
          tone: 'ochre',
        }
      : {
          title: 'Station the instrument',
          text: `${toSet} ${toSet === 1 ? 'mark waits' : 'marks wait'}. First it must be known where the instrument stands.`,
          to: 'station',
          button: 'To Station',
          tone: 'spruce',
        };
  }
  const name = inForce.fact.body.name;
  if (proof?.failed)
    return {
      title: `Stop: a proof of ${name} failed`,
      text: `${doubtful === 0 ? 'No mark' : `${count(doubtful)} marks`} in doubt. Sight the mark again; then a third one tells whether the mark or the instrument moved.`,
      to: 'prove',
      button: 'To Prove',
      tone: 'brick',
    };
  const claim = claimOf(state, site.trust, inForce);
  // What no listed mark can prove is said elsewhere, and not asked for again and again.
  const canProve = () => proofCandidates(state, inForce, claim.unproven).some(({ proves }) => proves.some((part) => claim.unproven.includes(part)));
  if (proof && !proof.proven && (claim.unproven.includes('plan') || canProve()))
    return {
      title: proveFirstTitle({ name, ...claim }),
      text: unprovenWords({ name, ...claim }).text,
      to: 'prove',
      button: 'Prove now',
      tone: 'ochre',
    };
  if (proof?.due) {
    return {
      title: `Prove ${name} before the next mark`,
      text: proof.due === 'EVENT' ? 'Something happened at the instrument since the last proof.' : `${proof.minutes} minutes since the last proof.`,
      to: 'prove',
      button: 'Prove now',
      tone: 'ochre',
    };
  }
  if (again.length > 0) {
    const one = again.length === 1;
    // Said to be gone or hit, or set for an earlier plan: the evidence may be good, and yet nobody may build from it.
    const what = again.length === doubtful ? (one ? 'is in doubt' : 'are in doubt') : one ? 'has to be set again' : 'have to be set again';
    return {
      title: one ? `One mark ${what}` : `${capital(count(again.length))} marks ${what}`,
      text: `Nobody should build from ${one ? 'it' : 'them'}. ${name} is proven: set ${one ? 'it' : 'them'} again from there.`,
      to: first ? `mark?package=${first.package}&mark=${encodeURIComponent(first.key)}` : 'mark',
      button: 'To Mark',
      tone: 'brick',
    };
  }
  if (toSet > 0)
    return {
      title: `Go on marking: ${toSet} to set`,
      text: `${name} was proven ${proof?.minutes ?? 0} minutes ago.`,
      to: 'mark',
      button: 'To Mark',
      tone: 'spruce',
    };
  return {
    title: 'Everything asked for is set',
    text: 'Prove once more before the instrument leaves, then hand over.',
    to: 'hand-over',
    button: 'To Hand over',
    tone: 'spruce',
  };
}
