import { proofAge, restakeList, setMarks, type ProofAge } from '@idle-marker/records';
import { msg, unprovenShort } from '@idle-marker/words';
import { useSite } from './SiteContext.tsx';
import { clockTime } from '../ui/time.ts';

export interface RailFact {
  readonly text: string;
  readonly tone?: 'ochre' | 'brick';
}

/** How old the last proof of the station in force is; null when there is no station. */
export function useProofAge(): ProofAge | null {
  const { state, trust, inForce, now } = useSite();
  return proofAge(state, trust, inForce, now);
}

/** One live fact a place, so that a glance along the rail says what is due. */
export function useRailFacts(): Readonly<Record<string, RailFact>> {
  const { state, trust, inForce, paired, occupation, now } = useSite();
  const proof = useProofAge();
  const planned = state.packages.reduce((sum, each) => sum + each.body.plans.length, 0);
  const set = setMarks(state).length;
  const doubtful = trust.marks.some((mark) => mark.standing === 'inDoubt') || restakeList(state).length > 0;
  const sheets = new Set(state.ofType.handover.map((fact) => fact.body.number)).size;
  return {
    today: { text: clockTime(now) },
    control: { text: msg('site.marks', { control: state.control.length }) },
    design: { text: String(planned) },
    station: {
      text: inForce?.fact.body.name ?? paired?.solution.body.name ?? (occupation ? `${occupation.body.name}…` : 'none'),
    },
    ...(proof && {
      prove: proof.failed
        ? { text: 'failed', tone: 'brick' as const }
        : proof.proven
          ? { text: msg('site.min', { minutes: proof.minutes }), ...(proof.due ? { tone: 'ochre' as const } : {}) }
          : { text: unprovenShort(proof.unproven, proof.unchecked), tone: 'ochre' as const },
    }),
    mark: { text: `${set} / ${planned}`, ...(doubtful ? { tone: 'brick' as const } : {}) },
    'hand-over': { text: msg('site.sheets', { sheets }) },
    'field-book': { text: String(state.timeline.length) },
  };
}
