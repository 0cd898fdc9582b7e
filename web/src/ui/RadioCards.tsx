/** One of a few, each with a line on what it means. */
import { RadioGroup } from 'radix-ui';
import { useId } from 'react';

interface RadioCardsProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly title: string; readonly about: string }[];
  onChange(value: T): void;
}

export function RadioCards<T extends string>({ label, value, options, onChange }: RadioCardsProps<T>) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <p id={id} className="text-[13px] text-ink2">
        {label}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className="grid gap-3 sm:grid-cols-2"
      >
        {options.map((each) => (
          <RadioGroup.Item
            key={each.value}
            value={each.value}
            aria-label={each.title}
            aria-describedby={`${id}-${each.value}`}
            className="group flex min-h-11 items-start gap-3 rounded-sm border border-ink2 bg-sheet p-3 text-left data-[state=checked]:border-2 data-[state=checked]:border-spruce data-[state=checked]:bg-paper"
          >
            <span className="mt-1 flex h-5 w-5 flex-none items-center justify-center rounded-full border-2 border-ink2 group-data-[state=checked]:border-spruce">
              <RadioGroup.Indicator className="h-2.5 w-2.5 rounded-full bg-spruce" />
            </span>
            <span>
              <span className="font-semibold">{each.title}</span>
              <span id={`${id}-${each.value}`} className="block text-[13px] text-ink2">
                {each.about}
              </span>
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
