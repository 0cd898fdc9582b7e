import { COLUMN_ROLES, type ColumnRole, type DecimalSign, type ListHead, type ListSaid } from '@idle-marker/formats';
import { columnRoleWords, msg, worded } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Field.tsx';

/** Orders in which lists without headings come. */
const ORDERS: readonly (readonly [string, readonly ColumnRole[]])[] = [
  ['P N E Z D', ['name', 'n', 'e', 'z', 'code']],
  ['P E N Z D', ['name', 'e', 'n', 'z', 'code']],
  ['N E Z P D', ['n', 'e', 'z', 'name', 'code']],
  ['E N Z P D', ['e', 'n', 'z', 'name', 'code']],
];

const separatorWords = worded(
  () =>
    ({
      ',': msg('control.signComma'),
      ';': msg('control.signSemicolon'),
      '\t': msg('control.signTab'),
      ' ': msg('control.signBlanks'),
    }) as const,
);

const decimalWords = worded(() => ({ '.': msg('control.point'), ',': msg('control.comma') }) as const);

/** What each column is, by its heading or by what stands in it; each to be said otherwise. */
export function ListColumns({
  head,
  said,
  decimal = null,
  onSaid,
}: {
  readonly head: ListHead;
  readonly said: ListSaid;
  /** The sign that was used; null where the list could not be read. */
  readonly decimal?: DecimalSign | null;
  onSaid(said: ListSaid): void;
}) {
  const words = columnRoleWords();
  const read = head.columns.map(({ role }) => role ?? '');
  const now = head.columns.map((_, i) => said.columns?.[i] ?? (said.columns ? '' : (read[i] ?? '')));
  const hasHeadings = head.columns.some(({ heading }) => heading !== null);
  const say = (i: number, role: string) =>
    // A role belongs to one column: the one that had it is left aside.
    onSaid({ ...said, columns: now.map((each, k) => (k === i ? role : each === role ? '' : each)) });
  return (
    <section className="mt-3" aria-label={msg('control.columnsOfTheFile')}>
      <p className="text-[14px] text-ink2">
        {msg('control.separatedBy', {
          separator: separatorWords()[head.separator],
          encoding: head.isEncodingAssumed ? msg('control.lettersWindows') : msg('control.lettersUnicode'),
        })}
      </p>
      {!hasHeadings && (
        <p className="mt-1 flex flex-wrap items-baseline gap-2">
          {msg('control.noHeadingsTheColumnsAre')}
          {ORDERS.map(([name, roles]) => (
            <Button key={name} look="quiet" onClick={() => onSaid({ ...said, columns: roles })}>
              {name}
            </Button>
          ))}
        </p>
      )}
      <Choice<DecimalSign | ''>
        className="mt-1 max-w-64"
        label={msg('control.decimalSign')}
        value={said.decimal ?? ''}
        options={[
          [
            '',
            decimal === null || said.decimal
              ? msg('control.decimalByTheFigures')
              : msg('control.decimalByTheFiguresIs', { sign: decimalWords()[decimal] }),
          ],
          ['.', decimalWords()['.']],
          [',', decimalWords()[',']],
        ]}
        onChange={(sign) => onSaid({ ...said, decimal: sign === '' ? null : sign })}
      />
      <div className="mt-1 overflow-x-auto">
        <table className="text-[14px]">
          <thead>
            <tr>
              {head.columns.map(({ heading }, i) => (
                <th key={i} scope="col" className="p-1 text-left align-bottom font-semibold">
                  {heading ?? msg('control.column', { i: i + 1 })}
                  <select
                    className="mt-1 block min-h-11 rounded-sm border border-ink2 bg-sheet px-1 font-normal"
                    aria-label={msg('control.columnIs', { heading: heading ?? String(i + 1) })}
                    value={(COLUMN_ROLES as readonly string[]).includes(now[i]!) ? now[i] : ''}
                    onChange={(event) => say(i, event.target.value)}
                  >
                    <option value="">{msg('control.leftAside')}</option>
                    {COLUMN_ROLES.map((role) => (
                      <option key={role} value={role}>
                        {words[role]}
                      </option>
                    ))}
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {[0, 1].map((row) => (
              <tr key={row}>
                {head.columns.map(({ samples }, i) => (
                  <td key={i} className="figures p-1 whitespace-nowrap text-ink2">
                    {samples[row] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
