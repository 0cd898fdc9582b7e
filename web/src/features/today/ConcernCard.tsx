import { Link } from 'react-router';
import { controlConcerns } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { concernText } from '../../site/concernText.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';

const SHOWN = 5;

/** Control that wants looking after: what the works will take, what is soft, what was not seen for long. */
export function ConcernCard() {
  const { id, state, now } = useSite();
  const concerns = controlConcerns(state, now);
  if (concerns.length === 0) return null;
  return (
    <section className="border-[1.5px] border-ochre bg-sheet p-[18px]" aria-label={msg('today.controlToLookAfter')}>
      <div className="mb-1 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">{msg('today.controlToLookAfter')}</h2>
        <Link className={LINK} to={`/sites/${id}/control`}>
          {msg('common.control')}
        </Link>
      </div>
      <ul>
        {concerns.slice(0, SHOWN).map((concern) => {
          const { title, text } = concernText(concern);
          return (
            <li key={concern.code + concern.mark.id} className="border-b border-rule py-1.5">
              <strong className="text-ochre">{title}.</strong> {text}
            </li>
          );
        })}
      </ul>
      {concerns.length > SHOWN && (
        <p className="mt-1 text-ink2">{msg('today.andMore', { concerns: concerns.length - SHOWN })}</p>
      )}
    </section>
  );
}
