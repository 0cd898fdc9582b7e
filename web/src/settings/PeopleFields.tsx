import { isPerson, ROLES, roleOf, type Role } from '@idle-marker/records';
import { msg, roleWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Choice, Tick } from '../ui/Field.tsx';
import type { SiteDraft } from './siteDraft.ts';

interface PeopleFieldsProps {
  readonly draft: SiteDraft;
  onChange(change: Partial<SiteDraft>): void;
}

/**
 * What each person is, and which of them may accept a station. As picked on the device: it guides, and locks nothing.
 */
export function PeopleFields({ draft, onChange }: PeopleFieldsProps) {
  const { state } = useSite();
  const choices = ROLES.map((role) => [role, roleWords()[role]] as const);
  const setRole = (member: string, role: Role) =>
    onChange({ roles: [...draft.roles.filter((each) => each.member !== member), { member, role }] });
  const toggle = (verdict: 'accepted' | 'provisional', role: Role, on: boolean) => {
    const before = draft.mayAccept[verdict];
    onChange({
      mayAccept: { ...draft.mayAccept, [verdict]: on ? [...before, role] : before.filter((each) => each !== role) },
    });
  };
  return (
    <section className="mt-5" aria-label={msg('settings.people')}>
      <h3 className="mb-1 text-[17px]">{msg('settings.people')}</h3>
      <div className="grid gap-3 sm:grid-cols-3">
        {state.members.filter(isPerson).map((member) => (
          <Choice
            key={member.id}
            label={member.body.name}
            value={draft.roles.find((each) => each.member === member.id)?.role ?? roleOf(state, member.id)}
            options={choices}
            onChange={(role) => setRole(member.id, role)}
          />
        ))}
      </div>
      {(['accepted', 'provisional'] as const).map((verdict) => (
        <fieldset key={verdict} className="mt-2">
          <legend className="text-[13px] text-ink2">
            {msg('settings.nobodyTickedEverybody', {
              verdict:
                verdict === 'accepted'
                  ? msg('settings.whoMayAcceptAStationThatMeets')
                  : msg('settings.whoMayAcceptOneAsProvisional'),
            })}
          </legend>
          <div className="flex flex-wrap gap-x-6">
            {ROLES.map((role) => (
              <Tick
                key={role}
                label={roleWords()[role]}
                checked={draft.mayAccept[verdict].includes(role)}
                onChange={(on) => toggle(verdict, role, on)}
              />
            ))}
          </div>
        </fieldset>
      ))}
      <p className="text-[13px] text-ink2">{msg('settings.peopleArePickedByHandSoFar')}</p>
    </section>
  );
}
