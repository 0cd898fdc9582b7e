import { Link } from 'react-router';
import { msg, thisUnproven } from '@idle-marker/words';
import { useProofAge } from '../site/railFacts.ts';
import { useSite } from '../site/SiteContext.tsx';
import { LINK } from '../ui/link.ts';

/** What the last check of the station says about going on; `left`: minutes until one is due, while none is. */
export function ProofDue({ left }: { readonly left: number | null }) {
  const { id } = useSite();
  const proof = useProofAge();
  if (!proof) return null;
  const onlyHeight = proof.unproven.length === 1 && proof.unproven[0] === 'height';
  const said = proof.failed
    ? msg('pole.aProofOfThisStationFailed')
    : proof.proven
      ? msg('pole.minSinceTheLastProof', { minutes: proof.minutes })
      : thisUnproven(proof.unproven, proof.unchecked);
  return (
    <p className={`my-3 border-l-4 pl-3 ${proof.failed ? 'border-brick' : 'border-ochre'}`}>
      <strong>{said}</strong>{' '}
      {left !== null
        ? msg('pole.dueInMin', { afterMinutes: left })
        : proof.failed
          ? msg('pole.whatIsSetNowIsInDoubt')
          : onlyHeight
            ? msg('pole.sightAnUnusedMarkWithAHeight')
            : msg('pole.sightAnUnusedMarkBeforeTheNext')}{' '}
      <Link className={LINK} to={`/sites/${id}/prove`}>
        {msg('common.proveNow')}
      </Link>
    </p>
  );
}
