import type { Fact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { Tick } from '../../ui/Field.tsx';
import { useLayers } from './useLayers.ts';

interface LayersProps {
  readonly layers: readonly { readonly name: string; readonly elements: number }[];
  /** Its layers are asked for when they are not given. */
  readonly drawing: Fact<'drawing'> | null;
  readonly hidden: ReadonlySet<string>;
  onHidden(next: ReadonlySet<string>): void;
}

/** Layers, listed and switched. */
export function Layers({ layers, drawing, hidden, onHidden }: LayersProps) {
  const found = useLayers(drawing);
  const listed = layers.length > 0 ? layers : found;
  if (listed.length === 0) return null;
  return (
    <fieldset className="mt-2">
      <legend className="text-[13px] text-ink2">{msg('design.layersThatAreDrawn')}</legend>
      <div className="max-h-52 overflow-auto" tabIndex={0} role="region" aria-label={msg('design.layers')}>
        {listed.map(({ name, elements }) => (
          <Tick
            key={name}
            label={
              <>
                {name} <span className="text-ink2">{elements}</span>
              </>
            }
            checked={!hidden.has(name)}
            onChange={(on) => onHidden(new Set(on ? [...hidden].filter((each) => each !== name) : [...hidden, name]))}
          />
        ))}
      </div>
    </fieldset>
  );
}
