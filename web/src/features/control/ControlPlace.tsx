import { Link } from 'react-router';
import { msg, worded } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { LINK } from '../../ui/link.ts';
import { Card, Empty } from '../../ui/Slip.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { FoundMovedDialog } from '../../evidence/FoundMovedDialog.tsx';
import { MarkPage } from './MarkPage.tsx';
import { PairTable } from './PairTable.tsx';
import { WalkRound } from './WalkRound.tsx';
import { BringControl } from './BringControl.tsx';
import { FromDesign } from './FromDesign.tsx';
import { EditSeveral } from './EditSeveral.tsx';
import { EditControl } from '../../evidence/EditControl.tsx';
import { ImportControl } from './ImportControl.tsx';
import { useControlPlace, type View } from './useControlPlace.ts';
import { ControlHead } from './ControlHead.tsx';
import { PickedMarks } from './PickedMarks.tsx';
import { ControlTable } from './ControlTable.tsx';

const viewChoices = worded((): readonly (readonly [View, string])[] => [
  ['list', msg('control.theList')],
  ['walk', msg('control.siteWalk')],
  ['pairs', msg('control.pairCheck')],
]);

/** Can I trust these marks? */
export function Place() {
  const model = useControlPlace();
  const {
    id,
    state,
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
    setPicking,
    setPicked,
    several,
    setSeveral,
    severalMarks,
    search,
    setSearch,
    setPairs,
    scene,
  } = model;
  return (
    <div className="flex h-full min-h-0 flex-col lg:flex-row low:flex-row">
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
        className="flex min-h-0 flex-1 flex-col border-ink bg-sheet low:overflow-y-auto lg:w-[620px] lg:flex-none lg:border-l max-xl:lg:w-[520px]"
        aria-label={msg('control.controlMarks')}
      >
        <ControlHead model={model} />
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
            {viewChoices().map(([which, words]) => (
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
        {view === 'list' && state.control.length > 1 && <PickedMarks model={model} />}
        <ControlTable model={model} />
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
