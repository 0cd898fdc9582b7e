/**
 * What the dialogs of work packages share: name, who asked for it, what its marks begin with, its class, and how it is
 * kept.
 */
import { useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { alikeName, prefixOf } from '@idle-marker/records';
import { msg, toleranceWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';

export interface PackageHead {
  readonly name: string;
  readonly crew: string;
  readonly prefix: string;
  change(next: Partial<Record<'name' | 'crew' | 'prefix', string>>): void;
  /** What is wrong with each; null where nothing is. */
  readonly errors: Readonly<Record<'name' | 'crew' | 'prefix', string | null>>;
}

export function usePackageHead(work: Fact<'package'> | null): PackageHead {
  const { state } = useSite();
  const [typed, setTyped] = useState({
    name: work?.body.name ?? '',
    crew: work?.body.crew ?? '',
    prefix: (work && prefixOf(work.body)) ?? '',
  });
  const alike = alikeName(
    typed.name,
    state.packages.filter((each) => each.id !== work?.id).map((each) => each.body.name),
  );
  return {
    ...typed,
    change: (next) => setTyped({ ...typed, ...next }),
    errors: {
      name:
        typed.name.trim() === ''
          ? msg('packages.giveThePackageAName')
          : alike !== null
            ? msg('packages.thereIsAPackageAlreadyTwoNames', { alike })
            : null,
      crew: typed.crew.trim() === '' ? msg('packages.sayWhoAskedForIt') : null,
      prefix: typed.prefix.trim() === '' ? msg('packages.giveTheLettersThatEveryMarksName') : null,
    },
  };
}

/** @param tried somebody wanted to keep it already: what is missing is said */
export function PackageHeadFields({ head, tried }: { readonly head: PackageHead; readonly tried: boolean }) {
  const { errors } = head;
  const shown = (error: string | null) => (tried ? error : null);
  return (
    <>
      <Field
        label={msg('common.name')}
        value={head.name}
        maxLength={80}
        onChange={(event) => head.change({ name: event.target.value })}
        error={shown(errors.name)}
        autoFocus
      />
      <Field
        label={msg('common.crew')}
        value={head.crew}
        maxLength={80}
        onChange={(event) => head.change({ crew: event.target.value })}
        error={shown(errors.crew)}
      />
      <Field
        label={msg('packages.marksBeginWith')}
        value={head.prefix}
        maxLength={12}
        onChange={(event) => head.change({ prefix: event.target.value })}
        error={shown(errors.prefix)}
      />
    </>
  );
}

/** The class that its marks have to meet. */
export function ClassChoice({ value, onChange }: { readonly value: string; onChange(id: string): void }) {
  const {
    classes,
    settings: { lengthUnit },
  } = useSite().state;
  return (
    <Choice
      label={msg('common.toleranceClass')}
      term="toleranceClass"
      value={value}
      options={classes.map((each) => [each.id, `${each.name}: ${toleranceWords(each, lengthUnit)}`] as const)}
      onChange={onChange}
    />
  );
}

interface PackageFootProps {
  /** A new revision of one, or a new one. */
  readonly isNew: boolean;
  /** What it comes to: how many marks. */
  readonly said: string;
  onClose(): void;
  onSave(): void;
}

/** What it comes to, and to keep it or not. */
export function PackageFoot({ isNew, said, onClose, onSave }: PackageFootProps) {
  return (
    <>
      <span className="mr-auto text-ink2">{said}</span>
      <Button onClick={onClose}>{msg('common.cancel')}</Button>
      <Button look="primary" onClick={onSave}>
        {isNew ? msg('packages.makePackage') : msg('common.keepAsNewRevision')}
      </Button>
    </>
  );
}
