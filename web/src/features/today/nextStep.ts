/** What to do next, as one sentence with its button, from the state of everything. */
import { claimOf, pairedDue, proofCandidates, restakeList } from '@idle-marker/records';
import { msg, count, pairedDueWords, proveFirstTitle, unprovenWords } from '@idle-marker/words';
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

export function nextStep(
  site: OpenSite,
  proof: ProofAge | null,
  doubtfulMarks: readonly Fact<'mark'>[],
  toSet: number,
): NextStep {
  const { state, inForce, occupation, paired } = site;
  const doubtful = doubtfulMarks.length;
  const again = [
    ...new Map(
      [...doubtfulMarks, ...restakeList(state).map(({ mark }) => mark)].map((mark) => [mark.id, mark]),
    ).values(),
  ];
  const first = again[0]?.body;
  const usable = state.control.filter(
    (mark) => mark.revision.body.condition !== 'lost' && mark.revision.body.usePlan,
  ).length;
  if (usable < 2) {
    return {
      title: msg('common.listTheControlMarks'),
      text: msg('today.aStationNeedsAtLeastTwoMarks', {
        usable: usable === 0 ? msg('today.noneIs') : msg('today.oneIs'),
      }),
      to: 'control',
      button: msg('common.toControl'),
      tone: 'ochre',
    };
  }
  if (state.packages.length === 0) {
    return {
      title: msg('today.sayWhatIsToBeMarked'),
      text: msg('today.aWorkPackageTurnsAnOutlineInto'),
      to: 'design',
      button: msg('today.toTheWork'),
      tone: 'spruce',
    };
  }
  if (paired) {
    const [due] = pairedDue(state, paired);
    const failed = due?.endsWith('FAILED') ?? false;
    return {
      title: due ? pairedDueWords()[due].title : msg('today.goOnMarkingToSet', { toSet }),
      text: due
        ? pairedDueWords()[due].text
        : msg('today.planAndHeightOfAreProvedPlan', { name: paired.solution.body.name }),
      to: 'mark/receiver',
      button: due ? msg('today.toTheKnownMarks') : msg('common.toMark'),
      tone: failed ? 'brick' : due ? 'ochre' : 'spruce',
    };
  }
  if (!occupation || !inForce) {
    return occupation
      ? {
          title: msg('today.finishStationing', { name: occupation.body.name }),
          text: msg('today.itIsSetUpButNotAccepted'),
          to: 'station',
          button: msg('today.goOn'),
          tone: 'ochre',
        }
      : {
          title: msg('today.stationTheInstrument'),
          text: msg('today.firstItMustBeKnownWhereThe', { toSet }),
          to: 'station',
          button: msg('today.toStation'),
          tone: 'spruce',
        };
  }
  const name = inForce.fact.body.name;
  if (proof?.failed)
    return {
      title: msg('today.stopAProofOfFailed', { name }),
      text: msg('today.inDoubtSightTheMarkAgainThen', {
        doubtful: doubtful === 0 ? msg('today.noMark') : msg('today.marks2', { count: count(doubtful) }),
      }),
      to: 'prove',
      button: msg('common.toProve'),
      tone: 'brick',
    };
  const claim = claimOf(state, site.trust, inForce);
  // What no listed mark can prove is said elsewhere, and not asked for again and again.
  const canProve = () =>
    proofCandidates(state, inForce, claim.unproven).some(({ proves }) =>
      proves.some((part) => claim.unproven.includes(part)),
    );
  if (proof && !proof.proven && (claim.unproven.includes('plan') || canProve()))
    return {
      title: proveFirstTitle({ name, ...claim }),
      text: unprovenWords({ name, ...claim }).text,
      to: 'prove',
      button: msg('common.proveNow'),
      tone: 'ochre',
    };
  if (proof?.due) {
    return {
      title: msg('today.proveBeforeTheNextMark', { name }),
      text:
        proof.due === 'EVENT'
          ? msg('today.somethingHappenedAtTheInstrumentSince')
          : msg('today.minutesSinceTheLastProof', { minutes: proof.minutes }),
      to: 'prove',
      button: msg('common.proveNow'),
      tone: 'ochre',
    };
  }
  if (again.length > 0) {
    const one = again.length === 1;
    // Said to be gone or hit, or set for an earlier plan: the evidence may be good, and yet nobody may build from it.
    const what =
      again.length === doubtful
        ? one
          ? msg('today.isInDoubt')
          : msg('today.areInDoubt')
        : one
          ? msg('today.hasToBeSetAgain')
          : msg('today.haveToBeSetAgain');
    return {
      title: one
        ? msg('today.oneMark', { what })
        : msg('today.marks3', { capital: capital(count(again.length)), what }),
      text: msg('today.nobodyShouldBuildFromIsProvenSet', { one: one ? 'it' : 'them', name }),
      to: first ? `mark?package=${first.package}&mark=${encodeURIComponent(first.key)}` : 'mark',
      button: msg('common.toMark'),
      tone: 'brick',
    };
  }
  if (toSet > 0)
    return {
      title: msg('today.goOnMarkingToSet', { toSet }),
      text: msg('today.wasProvenMinutesAgo', { name, minutes: proof?.minutes ?? 0 }),
      to: 'mark',
      button: msg('common.toMark'),
      tone: 'spruce',
    };
  return {
    title: msg('today.everythingAskedForIsSet'),
    text: msg('today.proveOnceMoreBeforeTheInstrumentLeaves'),
    to: 'hand-over',
    button: msg('today.toHandOver'),
    tone: 'spruce',
  };
}
