import { Link } from 'react-router';
import { msg, CONTROL_KIND } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { LINK } from '../../ui/link.ts';
import { Card, Empty } from '../../ui/Slip.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { FoundMovedDialog } from '../../evidence/FoundMovedDialog.tsx';
import { MarkPage } from './MarkPage.tsx';
import { PairTable } from './PairTable.tsx';
import { WalkRound } from './WalkRound.tsx';
import { ExportControl } from './ExportControl.tsx';
import { BringControl } from './BringControl.tsx';
import { FromDesign } from './FromDesign.tsx';
import { EditSeveral } from './EditSeveral.tsx';
import { EditControl } from '../../evidence/EditControl.tsx';
import { ImportControl } from './ImportControl.tsx';
import { useControlPlace, type View, PAGE } from './useControlPlace.ts';

const TONE = { secure: 'text-good', usable: '', doubtful: 'text-ochre', lost: 'text-brick line-through' } as const;

const VIEWS: readonly (readonly [View, string])[] = [
  ['list', msg('control.theList')],
  ['walk', msg('common.walkRound')],
  ['pairs', msg('common.pairByPair')],
];

/** Can I trust these marks? */
export function Place() {
  const {
    id,
    state,
    units,
    chosen,
    setChosen,
    editing,
    setEditing,
    importing,
    setImporting,
    bringing,
    setBringing,
    setReading,
    moved,
    setMoved,
    view,
    setView,
    read,
    fromDesign,
    setFromDesign,
    revised,
    setRevised,
    undo,
    written,
    setWritten,
    picking,
    setPicking,
    picked,
    setPicked,
    several,
    setSeveral,
    severalMarks,
    pick,
    search,
    setSearch,
    shown,
    setShown,
    found,
    setPairs,
    scene,
    usable,
    first,
    second,
    short,
    setShort,
    againstZero,
    setAgainstZero,
    siteZero,
    flagged,
    leads,
    coordinate,
    leadWords,
    name,
  } = useControlPlace();
  return (
    <div className="flex h-full min-h-0 flex-col lg:flex-row">
      <div className="relative min-h-0 flex-[0_0_38%] border-b border-ink lg:flex-1 lg:border-b-0">
        {state.control.length > 0 ? (
          <Board
            scene={scene}
            description={msg('control.planWithControlMarksTheTableBeside', { control: state.control.length })}
            onPick={(id) => state.control.some((mark) => mark.id === id) && setChosen(id)}
            fitKey={`control ${state.control.length > 0}`}
          />
        ) : (
          <Empty title={msg('control.noControlYet')}>{msg('control.marksWithKnownCoordinatesGoHereFrom')}</Empty>
        )}
      </div>
      <section
        className="flex min-h-0 flex-1 flex-col border-ink bg-sheet lg:w-[620px] lg:flex-none lg:border-l max-xl:lg:w-[520px]"
        aria-label={msg('control.controlMarks')}
      >
        <div className="flex flex-wrap items-center justify-between gap-3 border-b border-ink px-[18px] py-3">
          <div>
            <h1 className="text-xl">{msg('common.control')}</h1>
            <p className={usable < 3 ? 'text-ochre' : 'text-ink2'}>
              {msg('control.usableInPlan', {
                usable,
                usable2:
                  usable < 2
                    ? msg('control.twoAreNeeded')
                    : usable < 3
                      ? msg('control.nothingChecksThem')
                      : usable < 4
                        ? msg('control.aMistakeWouldShow')
                        : msg('control.oneBadMarkCanBeNamed'),
              })}
            </p>
          </div>
          <span className="flex flex-wrap gap-2">
            {(leads.e !== 0 || leads.n !== 0) && (
              <Button aria-pressed={short} onClick={() => setShort(!short)}>
                {short ? msg('control.wholeCoordinates') : msg('control.shortCoordinates')}
              </Button>
            )}
            {siteZero !== null && (
              <Button aria-pressed={againstZero} onClick={() => setAgainstZero(!againstZero)}>
                {againstZero ? msg('control.trueHeights') : msg('control.againstSiteZero')}
              </Button>
            )}
            <Button onClick={() => setImporting(true)}>{msg('control.import')}</Button>
            {state.control.length > 0 && <ExportControl />}
            <Button look="primary" hint="N" onClick={() => setEditing('new')}>
              {msg('control.addMark')}
            </Button>
          </span>
        </div>
        {revised.length > 0 && (
          <Card
            tone="good"
            title={msg('control.revised', { revised: revised.length })}
            actions={
              <>
                <Button onClick={() => void undo()}>{msg('common.undo')}</Button>
                <Button onClick={() => setRevised([])}>{msg('common.close')}</Button>
              </>
            }
          >
            {revised.map((mark) => mark.revision.body.name).join(', ')}
          </Card>
        )}
        {written !== null && (
          <Card
            tone="good"
            title={msg('control.written', { written })}
            actions={<Button onClick={() => setWritten(null)}>{msg('common.close')}</Button>}
          >
            {msg('control.nextLookAtThemOnTheGround')}{' '}
            <Link className={LINK} to={`/sites/${id}/station`}>
              {msg('control.stationTheInstrumentFromThem')}
            </Link>
            .
          </Card>
        )}
        {state.control.length > 0 && (
          <div className="flex border-b border-rule px-[14px]" role="group" aria-label={msg('control.viewOfTheMarks')}>
            {VIEWS.map(([which, words]) => (
              <button
                key={which}
                type="button"
                aria-pressed={view === which}
                className={`min-h-11 px-3 ${view === which ? 'border-b-4 border-spruce font-semibold' : 'text-ink2'}`}
                onClick={() => setView(which)}
              >
                {words}
              </button>
            ))}
          </div>
        )}
        {view === 'pairs' && (
          <div
            className="min-h-0 flex-1 overflow-auto"
            tabIndex={0}
            role="region"
            aria-label={msg('control.pairsOfMarks')}
          >
            <PairTable onChoose={setChosen} onPairs={setPairs} />
          </div>
        )}
        {view === 'walk' && (
          <div
            className="min-h-0 flex-1 overflow-auto"
            tabIndex={0}
            role="region"
            aria-label={msg('control.walkRoundTheMarks')}
          >
            <WalkRound onChoose={setChosen} onOpen={setReading} />
          </div>
        )}
        {view === 'list' && state.control.length > 12 && (
          <SearchField
            label={msg('control.findAMark')}
            value={search}
            onChange={setSearch}
            className="mx-[14px] my-2"
          />
        )}
        {view === 'list' && state.control.length > 1 && (
          <div className="flex flex-wrap items-center gap-3 px-[14px] py-1">
            <Button
              look="quiet"
              aria-pressed={picking}
              onClick={() => {
                setPicking(!picking);
                setPicked(new Set());
              }}
            >
              {picking ? msg('control.chooseNone') : msg('control.chooseSeveral')}
            </Button>
            {picking && (
              <>
                <Button
                  look="quiet"
                  onClick={() =>
                    pick(
                      found.map((mark) => mark.id),
                      true,
                    )
                  }
                >
                  {msg('control.all', { found: found.length })}
                </Button>
                <Button disabled={picked.size === 0} onClick={() => setSeveral(true)}>
                  {msg('control.changeAtOnce', { picked: picked.size })}
                </Button>
              </>
            )}
          </div>
        )}
        <div
          className={`min-h-0 flex-1 overflow-auto px-[14px] pb-4 ${view === 'list' ? '' : 'hidden'}`}
          tabIndex={0}
          role="region"
          aria-label={msg('control.tableOfMarks')}
        >
          <table className={TABLE}>
            <thead className="sticky top-0 bg-sheet">
              <tr>
                <th className={TH_WORD}>{msg('common.mark')}</th>
                <th className={TH}>
                  {name[first]}
                  {leadWords(first)}, {units.unit}
                </th>
                <th className={TH}>
                  {name[second]}
                  {leadWords(second)}, {units.unit}
                </th>
                <th className={TH}>{againstZero ? msg('common.againstZero') : msg('common.height')}</th>
                <th className={TH}>{msg('control.sdMm')}</th>
                <th className={TH_WORD}>{msg('common.kind')}</th>
                <th className={TH_WORD}>{msg('common.use')}</th>
                <th className={TH_WORD}>{msg('common.condition')}</th>
              </tr>
            </thead>
            <tbody>
              {found.slice(0, shown).map((mark) => {
                const { body } = mark.revision;
                return (
                  <tr
                    key={mark.id}
                    className={chosen === mark.id ? 'outline-2 -outline-offset-2 outline-spruce' : ''}
                    title={body.note}
                  >
                    <td className={TD_WORD}>
                      {picking && (
                        <input
                          type="checkbox"
                          aria-label={msg('control.choose', { name: body.name })}
                          checked={picked.has(mark.id)}
                          onChange={(event) => pick([mark.id], event.target.checked)}
                          className="mr-2 h-6 w-6 align-middle accent-(--spruce)"
                        />
                      )}
                      <button
                        type="button"
                        className="min-h-11 min-w-11 text-left font-semibold underline decoration-dotted"
                        onClick={() => setReading(mark.id)}
                        onFocus={() => setChosen(mark.id)}
                        aria-label={msg('control.about', { name: body.name })}
                      >
                        {body.name}
                      </button>
                      {mark.revisions.length > 1 && (
                        <span className="text-[12px] text-ink2"> r{mark.revisions.length}</span>
                      )}
                      {flagged.has(mark.id) && (
                        <span className="block text-[12px] text-ochre">
                          {flagged.get(mark.id)!.title.replace(`${body.name}: `, '').replace(`${body.name} `, '')}
                        </span>
                      )}
                    </td>
                    <td className={TD}>{coordinate(body[first], first)}</td>
                    <td className={TD}>{coordinate(body[second], second)}</td>
                    <td className={TD}>{units.length(againstZero && body.z !== null ? body.z - siteZero! : body.z)}</td>
                    <td className={TD}>
                      {body.sdHMm ?? '–'} / {body.sdZMm ?? '–'}
                    </td>
                    <td className={TD_WORD}>{CONTROL_KIND[body.kind]}</td>
                    <td className={TD_WORD}>
                      {body.forProof
                        ? 'proofs'
                        : [body.usePlan && 'plan', body.useHeight && 'ht'].filter(Boolean).join('+') || 'none'}
                    </td>
                    <td className={`${TD_WORD} ${TONE[body.condition]}`}>{body.condition}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {found.length > shown && (
            <Button look="quiet" onClick={() => setShown(shown + PAGE)}>
              {msg('control.moreMarks', { found: found.length - shown })}
            </Button>
          )}
          {found.length === 0 && state.control.length > 0 && (
            <p className="p-4 text-ink2">{msg('control.noMarkMatches', { search })}</p>
          )}
        </div>
      </section>
      {editing !== null && <EditControl mark={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
      {read && (
        <MarkPage
          mark={read}
          onClose={() => setReading(null)}
          onRevise={() => {
            setReading(null);
            setEditing(read);
          }}
          onMoved={() => {
            setReading(null);
            setMoved(read);
          }}
        />
      )}
      {fromDesign && <FromDesign onClose={() => setFromDesign(false)} />}
      {several && (
        <EditSeveral
          marks={severalMarks}
          onClose={() => setSeveral(false)}
          onRevised={(before) => {
            setSeveral(false);
            setPicking(false);
            setPicked(new Set());
            setRevised(before);
          }}
        />
      )}
      {moved && <FoundMovedDialog mark={moved} onClose={() => setMoved(null)} />}
      {bringing && <BringControl onClose={() => setBringing(false)} />}
      {importing && (
        <ImportControl
          onClose={() => setImporting(false)}
          onWritten={(marks) => {
            setImporting(false);
            setWritten(marks);
          }}
          onDesign={() => {
            setImporting(false);
            setFromDesign(true);
          }}
          onOtherSite={() => {
            setImporting(false);
            setBringing(true);
          }}
        />
      )}
    </div>
  );
}
