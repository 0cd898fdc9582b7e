import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { LARGEST_UPLOAD_BYTES, rawSightsText, type RawSights } from '@idle-marker/contract';
import { looksLikeXml } from '@idle-marker/formats';
import {
  alikeName,
  controlElsewhere,
  factsOfRaw,
  freeName,
  instrumentAssumed,
  rawOfSurvey,
  stationOfRaw,
  targetHeightsThatCannotBe,
  usesOfRaw,
} from '@idle-marker/records';
import { msg, landXmlFaultWords, smallLength } from '@idle-marker/words';
import { keepUses } from '../../pole/useDraft.ts';
import { call, RefusedError, troubleOf } from '../../data/server.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { ReadingOn } from '../../ui/ReadingOn.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { readList } from '../../reading/lists.ts';

/** What is in a file of raw sights, or what is wrong with it: the server looks, the page may not run such checks. */
const checked = (text: string, signal: AbortSignal): Promise<RawSights> =>
  call('checkRawSights', {}, { file: { mediaType: 'application/x-ndjson', bytes: text }, signal });

/** Of one placing among several; a refusal says which. Its line is one of no file that anybody has. */
const among = (name: string, text: string, signal: AbortSignal): Promise<RawSights> =>
  checked(text, signal).catch((error: unknown) => {
    if (!(error instanceof RefusedError)) throw error;
    throw new RefusedError({
      ...error.problem,
      detail: msg('handover.amongWhatWasReadFrom', { name, detail: error.problem.detail.replace(/^Line \d+, /, '') }),
    });
  });

/** What a file holds, ready to be taken in: one placing, or of several the one that is chosen. */
interface Found {
  readonly setups: readonly RawSights[];
  /** The instrument that a file without precision is reckoned with; null where the file says how good its own is. */
  readonly assumed: string | null;
}

/**
 * Takes a file of raw sights, or the observations of a LandXML file, in as a set-up of this site; the station is looked
 * at and accepted as any other.
 */
export function TakeRawSights() {
  const { occupation, state, now: instant } = useSite();
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  const [reading, setReading] = useState<{ readonly fileName: string; readonly end: AbortController } | null>(null);
  const take = async (file: File) => {
    setTrouble(null);
    if (file.size > LARGEST_UPLOAD_BYTES) {
      setTrouble(msg('handover.isTooLargeForTheSightsOf', { name: file.name }));
      return;
    }
    const end = new AbortController();
    setReading({ fileName: file.name, end });
    try {
      const text = await file.text();
      await (looksLikeXml(text) ? takeSurvey(file.name, text, end.signal) : takeSights(file.name, text, end.signal));
    } catch (error) {
      if (!end.signal.aborted)
        setTrouble(
          msg('handover.wasNotTaken', {
            name: file.name,
            trouble: troubleOf(error, msg('common.tryAgainWhenItIsBack')),
          }),
        );
    } finally {
      setReading(null);
    }
  };
  const takeSights = async (fileName: string, text: string, signal: AbortSignal) => {
    const read = await checked(text, signal);
    if (read.header.combinedScaleFactor !== state.settings.combinedScaleFactor)
      setTrouble(
        msg('handover.wasNotTakenItsGridDistancesAre', {
          fileName,
          combinedScaleFactor: read.header.combinedScaleFactor,
          combinedScaleFactor2: state.settings.combinedScaleFactor,
        }),
      );
    else setFound({ setups: [read], assumed: null });
  };
  const takeSurvey = async (fileName: string, text: string, signal: AbortSignal) => {
    const survey = await readList('survey', { text }, signal);
    if (survey === null) {
      if (!signal.aborted) setTrouble(msg('handover.couldNotBeReadJustNowNothing', { fileName }));
      return;
    }
    if (!survey.ok) {
      setTrouble(msg('handover.wasNotTaken2', { fileName, landXmlFault: landXmlFaultWords(survey.error) }));
      return;
    }
    const setups = survey.value.setups.filter((setup) => setup.sights.length > 0);
    if (setups.length === 0) {
      setTrouble(msg('handover.wasNotTakenItIsLandxmlBut', { fileName }));
      return;
    }
    const raws: RawSights[] = [];
    for (const setup of setups)
      raws.push(
        await among(setup.name, rawSightsText(rawOfSurvey(state, survey.value, setup, instant.toISOString())), signal),
      );
    setFound({ setups: raws, assumed: instrumentAssumed(state).name });
  };
  return (
    <div className="mt-3 border-t border-rule pt-3">
      <input
        ref={input}
        type="file"
        accept=".jsonl,.xml,.landxml,application/x-ndjson,application/xml"
        className="sr-only"
        tabIndex={-1}
        aria-label={msg('handover.fileOfRawSights')}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file);
          event.target.value = '';
        }}
      />
      <Button disabled={occupation !== null || reading !== null} onClick={() => input.current?.click()}>
        {msg('handover.takeRawSightsIn')}
      </Button>
      {occupation !== null && (
        <p className="mt-1 text-[13px] text-ink2">
          {msg('handover.isStillSetUpCloseItFirst', { name: occupation.body.name })}
        </p>
      )}
      {reading && <ReadingOn fileName={reading.fileName} onCancel={() => reading.end.abort()} />}
      {trouble && (
        <p className="mt-2 font-medium text-brick" role="alert">
          {trouble}
        </p>
      )}
      {found && <TakeDialog found={found} onClose={() => setFound(null)} />}
    </div>
  );
}

function TakeDialog({ found, onClose }: { readonly found: Found; onClose(): void }) {
  const { id, state, say } = useSite();
  const [chosen, setChosen] = useState('0');
  const raw = found.setups[Number(chosen)]!;
  const units = useUnits();
  const navigate = useNavigate();
  const solved = stationOfRaw(raw);
  const elsewhere = controlElsewhere(state, raw);
  const impossible = targetHeightsThatCannotBe(raw);
  const left = raw.station
    ? [
        ...new Set(
          raw.sights
            .filter(({ purpose, used }) => purpose === 'station' && !used?.plan && !used?.height)
            .map(({ target }) => target.name),
        ),
      ]
    : [];
  const fresh = raw.control.filter((each) => !state.control.some((mark) => mark.revision.body.name === each.name));
  const same =
    solved?.ok && raw.station
      ? Math.hypot(solved.value.e - raw.station.result.e, solved.value.n - raw.station.result.n)
      : null;
  const names = state.occupations.map(({ body }) => body.name);
  const [typed, setTyped] = useState<string | null>(null);
  const free = alikeName(raw.setup.name, names) === null ? raw.setup.name : freeName(raw.setup.name, names);
  const name = (typed ?? free).trim();
  const taken = alikeName(name, names);
  const take = async () => {
    const facts = factsOfRaw(state, { ...raw, setup: { ...raw.setup, name } }, newId);
    const placing = facts.find((fact) => fact.type === 'occupation')!;
    // What was left out stays out: the station here is the one that the file tells of.
    await keepUses(placing.id, usesOfRaw(raw, facts));
    await say(...facts);
    void navigate(`/sites/${id}/station`);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('handover.sightsFromOf', { sights: raw.sights.length, name: raw.setup.name, site: raw.header.site })}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={name === '' || taken !== null} onClick={() => void take()}>
            {msg('handover.takeThemIn')}
          </Button>
        </>
      }
    >
      {found.setups.length > 1 && (
        <Choice
          className="mb-3"
          label={msg('handover.theFileHoldsSeveralPlacingsWhichOne')}
          value={chosen}
          options={found.setups.map(
            ({ setup, sights }, i) =>
              [
                String(i),
                msg('handover.sights', { name: setup.name, dayAndTime: dayAndTime(setup.at), sights: sights.length }),
              ] as const,
          )}
          onChange={(next) => {
            setChosen(next);
            setTyped(null);
          }}
        />
      )}
      <p>
        {msg('handover.highTakenByTheyBecomeASet', {
          name: raw.setup.instrument.name,
          length: units.length(raw.setup.instrumentHeight),
          unit: units.unit,
          by: raw.setup.by,
        })}
      </p>
      <Field
        className="mt-3 max-w-xs"
        label={msg('handover.nameOfTheSetUpHere')}
        value={typed ?? free}
        maxLength={80}
        onChange={(event) => setTyped(event.target.value)}
        error={
          name === '' ? msg('common.giveItAName') : taken === null ? null : msg('handover.thereIsAlready', { taken })
        }
        help={free === raw.setup.name ? null : msg('handover.isTheNameOfAnotherSetUp', { name: raw.setup.name })}
      />
      {found.assumed !== null && (
        <p className="mt-2">{msg('handover.theFileDoesNotSayHowPrecise', { assumed: found.assumed })}</p>
      )}
      {solved?.ok && (
        <p className="mt-2">
          {msg('handover.itsStationComputedAgainHeight', {
            axes: units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(solved.value[axis])}`).join(', '),
            length: units.length(solved.value.height?.z ?? null),
            same:
              same !== null &&
              (same === 0
                ? msg('handover.theSameAsInTheFileTo')
                : msg('handover.fromWhatTheFileSays', { smallLength: smallLength(same, units.lengthUnit) })),
          })}
        </p>
      )}
      {solved && !solved.ok && (
        <p className="mt-2 text-ochre">{msg('handover.byThemselvesTheseSightsGiveNoStation')}</p>
      )}
      {impossible.length > 0 && (
        <p className="mt-2 font-medium text-brick" role="alert">
          {msg('handover.aWallTargetHasNoPoleAnd', { impossible: impossible.join(', ') })}
        </p>
      )}
      {left.length > 0 && (
        <p className="mt-2">{msg('handover.leftOutOfItThatComesAlong', { left: left.join(', ') })}</p>
      )}
      {fresh.length > 0 && (
        <p className="mt-2">
          {msg('handover.newOnThisSiteTheyAreListed', { fresh: fresh.map(({ name }) => name).join(', ') })}
        </p>
      )}
      {elsewhere.length > 0 && (
        <p className="mt-2 font-medium text-ochre" role="alert">
          {msg('handover.listedHereWithOtherFiguresWhichCount', {
            elsewhere: elsewhere
              .map(({ name, byPlan, byHeight }) =>
                [
                  `${name}`,
                  byPlan ? msg('handover.away', { smallLength: smallLength(byPlan, units.lengthUnit) }) : '',
                  byHeight
                    ? msg('handover.inTheFile', {
                        smallLength: smallLength(Math.abs(byHeight), units.lengthUnit),
                        byHeight: byHeight > 0 ? 'higher' : 'lower',
                      })
                    : '',
                ]
                  .filter(Boolean)
                  .join(' '),
              )
              .join(', '),
          })}
        </p>
      )}
    </Dialog>
  );
}
