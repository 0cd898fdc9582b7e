import { formatSigned } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { smallUnit } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';

interface ProofTableProps {
  readonly proofs: readonly Fact<'proof'>[];
  nameOf(proof: Fact<'proof'>): string;
  outcomeWords(proof: Fact<'proof'>): string;
}

/** All proofs of the station, newest first, superseded ones too. */
export function ProofTable({ proofs, nameOf, outcomeWords }: ProofTableProps) {
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const figure = (proof: Fact<'proof'>, field: string) => {
    const value = proof.body.result[field];
    return typeof value === 'number' ? formatSigned((value / 1000) * small.perMetre, small.decimals) : '–';
  };
  const replaced = new Set(proofs.map((proof) => proof.body.supersedes));
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[15px]">Proofs of this station</h2>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>At</th>
            <th className={TH_WORD}>Mark</th>
            <th className={TH}>East</th>
            <th className={TH}>North</th>
            <th className={TH}>Height</th>
            <th className={TH}>Along</th>
            <th className={TH}>Across</th>
          </tr>
        </thead>
        <tbody>
          {[...proofs].reverse().map((proof) => {
            const bad = [proof.body.plan, proof.body.height].includes('outside');
            return (
              <tr key={proof.id} title={outcomeWords(proof)} className={replaced.has(proof.id) ? 'text-ink2 line-through' : bad ? 'text-brick' : ''}>
                <td className={TD_WORD}>{clockTime(proof.at)}</td>
                <td className={TD_WORD}>
                  {nameOf(proof)} {bad && <strong>outside</strong>}
                </td>
                {['dEMm', 'dNMm', 'dZMm', 'dAlongMm', 'dAcrossMm'].map((field) => (
                  <td key={field} className={TD}>
                    {figure(proof, field)}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1.5 text-[13px] text-ink2">
        Measured minus listed, {small.name}. Along: plus is farther away. Across: plus is right, seen from the instrument.
      </p>
    </section>
  );
}
