import type { Fact } from '@idle-marker/contract';
import { useSite } from '../site/SiteContext.tsx';
import { clockTime } from '../ui/time.ts';

export interface RailFact {
  readonly text: string;
  readonly tone?: 'ochre' | 'brick';
}

/** Minutes since the last proof of the station in force, or since it was accepted. */
export function useProofAge(): { minutes: number; due: 'CLOCK' | 'EVENT' | null; proven: boolean; failed: boolean; lastProof: Fact<'proof'> | null } | null {
  const { state, trust, inForce, now } = useSite();
  if (!inForce) return null;
  const standing = trust.solutions.find((each) => each.id === inForce.fact.id)!;
  const lastProof = state.proofs.findLast((proof) => proof.body.solution === inForce.fact.id) ?? null;
  const good = [standing.lastGoodPlan, standing.lastGoodHeight].filter((id) => id !== null);
  const since = state.proofs.filter((proof) => good.includes(proof.id)).at(-1)?.at ?? inForce.decision.at;
  return {
    minutes: Math.max(0, Math.floor((now.getTime() - Date.parse(since)) / 60_000)),
    due: standing.due,
    proven: standing.plan === 'proven',
    failed: [standing.plan, standing.height].some((part) => part === 'failed' || part === 'disagree'),
    lastProof,
  };
}

/** One live fact a place, so that a glance along the rail says what is due. */
export function useRailFacts(): Readonly<Record<string, RailFact>> {
  const { state, trust, inForce, occupation, now } = useSite();
  const proof = useProofAge();
  const planned = state.packages.reduce((sum, each) => sum + each.body.plans.length, 0);
  const set = [...state.marks.values()].filter((mark) => mark.body.state !== 'rough').length;
  const doubtful = trust.marks.filter((mark) => mark.standing === 'inDoubt').length;
  const sheets = new Set(state.timeline.filter((fact): fact is Fact<'handover'> => fact.type === 'handover').map((fact) => fact.body.number)).size;
  return {
    today: { text: clockTime(now) },
    control: { text: `${state.control.length} marks` },
    design: { text: String(planned) },
    station: { text: inForce?.fact.body.name ?? (occupation ? `${occupation.body.name}…` : 'none') },
    ...(proof && {
      prove: proof.failed
        ? { text: 'failed', tone: 'brick' as const }
        : proof.proven
          ? { text: `${proof.minutes} min`, ...(proof.due ? { tone: 'ochre' as const } : {}) }
          : { text: 'unproven', tone: 'ochre' as const },
    }),
    mark: { text: `${set} / ${planned}`, ...(doubtful > 0 ? { tone: 'brick' as const } : {}) },
    'hand-over': { text: sheets === 1 ? '1 sheet' : `${sheets} sheets` },
    'field-book': { text: String(state.timeline.length) },
  };
}
