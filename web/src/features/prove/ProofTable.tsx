import { formatSigned } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { msg, smallUnit } from '@idle-marker/words';
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
      <h2 className="mb-1 text-[15px]">{msg('prove.proofsOfThisStation')}</h2>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('common.at')}</th>
            <th className={TH_WORD}>{msg('common.mark')}</th>
            <th className={TH}>{msg('common.east')}</th>
            <th className={TH}>{msg('common.north')}</th>
            <th className={TH}>{msg('common.height')}</th>
            <th className={`${TH} max-md:hidden`}>{msg('common.along')}</th>
            <th className={`${TH} max-md:hidden`}>{msg('prove.across2')}</th>
          </tr>
        </thead>
        <tbody>
          {[...proofs].reverse().map((proof) => {
            const bad = [proof.body.plan, proof.body.height].includes('outside');
            return (
              <tr
                key={proof.id}
                title={outcomeWords(proof)}
                className={replaced.has(proof.id) ? 'text-ink2 line-through' : bad ? 'text-brick' : ''}
              >
                <td className={TD_WORD}>{clockTime(proof.at)}</td>
                <td className={TD_WORD}>
                  {nameOf(proof)} {bad && <strong>{msg('prove.outside')}</strong>}
                  <span className="figures block text-ink2 md:hidden">
                    {msg('prove.alongAcross', {
                      along: figure(proof, 'dAlongMm'),
                      across: figure(proof, 'dAcrossMm'),
                    })}
                  </span>
                </td>
                {['dEMm', 'dNMm', 'dZMm', 'dAlongMm', 'dAcrossMm'].map((field, i) => (
                  <td key={field} className={`${TD} field-figure ${i > 2 ? 'max-md:hidden' : ''}`}>
                    {figure(proof, field)}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1.5 text-[13px] text-ink2">
        {msg('prove.measuredMinusListedAlongPlusIsFarther', { name: small.name })}
      </p>
    </section>
  );
}
