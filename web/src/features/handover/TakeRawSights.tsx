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
import { landXmlFaultWords, smallLength } from '@idle-marker/words';
import { keepUses } from '../../pole/useDraft.ts';
import { ask, RefusedError, troubleOf } from '../../data/server.ts';
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
  ask('/api/v1/raw-sights', (document) => ('header' in document && Array.isArray(document['sights']) ? (document as unknown as RawSights) : null), {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-ndjson' },
    body: text,
    signal,
  });

/** Of one placing among several; a refusal says which. Its line is one of no file that anybody has. */
const among = (name: string, text: string, signal: AbortSignal): Promise<RawSights> =>
  checked(text, signal).catch((error: unknown) => {
    if (!(error instanceof RefusedError)) throw error;
    throw new RefusedError({ ...error.problem, detail: `Among what was read from ${name}: ${error.problem.detail.replace(/^Line \d+, /, '')}` });
  });

/** What a file holds, ready to be taken in: one placing, or of several the one that is chosen. */
interface Found {
  readonly setups: readonly RawSights[];
  /** The instrument that a file without precision is reckoned with; null where the file says how good its own is. */
  readonly assumed: string | null;
}

/** Takes a file of raw sights, or the observations of a LandXML file, in as a set-up of this site; the station is looked at and accepted as any other. */
export function TakeRawSights() {
  const { occupation, state, now: instant } = useSite();
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  const [reading, setReading] = useState<{ readonly fileName: string; readonly end: AbortController } | null>(null);
  const take = async (file: File) => {
    setTrouble(null);
    if (file.size > LARGEST_UPLOAD_BYTES) {
      setTrouble(`${file.name} is too large for the sights of one placing. Nothing was taken.`);
      return;
    }
    const end = new AbortController();
    setReading({ fileName: file.name, end });
    try {
      const text = await file.text();
      await (looksLikeXml(text) ? takeSurvey(file.name, text, end.signal) : takeSights(file.name, text, end.signal));
    } catch (error) {
      if (!end.signal.aborted) setTrouble(`${file.name} was not taken. ${troubleOf(error, 'Try again when it is back.')}`);
    } finally {
      setReading(null);
    }
  };
  const takeSights = async (fileName: string, text: string, signal: AbortSignal) => {
    const read = await checked(text, signal);
    if (read.header.combinedScaleFactor !== state.settings.combinedScaleFactor)
      setTrouble(
        `${fileName} was not taken: its grid distances are ${read.header.combinedScaleFactor} of ground distances, those of this site ${state.settings.combinedScaleFactor}. Its station would come out another one here.`,
      );
    else setFound({ setups: [read], assumed: null });
  };
  const takeSurvey = async (fileName: string, text: string, signal: AbortSignal) => {
    const survey = await readList('survey', { text }, signal);
    if (survey === null) {
      if (!signal.aborted) setTrouble(`${fileName} could not be read just now. Nothing was taken: choose it again.`);
      return;
    }
    if (!survey.ok) {
      setTrouble(`${fileName} was not taken. ${landXmlFaultWords(survey.error)}`);
      return;
    }
    const setups = survey.value.setups.filter((setup) => setup.sights.length > 0);
    if (setups.length === 0) {
      setTrouble(`${fileName} was not taken: it is LandXML, but holds no observations. Points are taken in under Control, lines under Work.`);
      return;
    }
    const raws: RawSights[] = [];
    for (const setup of setups) raws.push(await among(setup.name, rawSightsText(rawOfSurvey(state, survey.value, setup, instant.toISOString())), signal));
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
        aria-label="File of raw sights"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file);
          event.target.value = '';
        }}
      />
      <Button disabled={occupation !== null || reading !== null} onClick={() => input.current?.click()}>
        Take raw sights in…
      </Button>
      {occupation !== null && <p className="mt-1 text-[13px] text-ink2">{occupation.body.name} is still set up: close it first.</p>}
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
    ? [...new Set(raw.sights.filter(({ purpose, used }) => purpose === 'station' && !used?.plan && !used?.height).map(({ target }) => target.name))]
    : [];
  const fresh = raw.control.filter((each) => !state.control.some((mark) => mark.revision.body.name === each.name));
  const same = solved?.ok && raw.station ? Math.hypot(solved.value.e - raw.station.result.e, solved.value.n - raw.station.result.n) : null;
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
      title={`${raw.sights.length} sights from ${raw.setup.name} of ${raw.header.site}`}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" disabled={name === '' || taken !== null} onClick={() => void take()}>
            Take them in
          </Button>
        </>
      }
    >
      {found.setups.length > 1 && (
        <Choice
          className="mb-3"
          label="The file holds several placings: which one"
          value={chosen}
          options={found.setups.map(({ setup, sights }, i) => [String(i), `${setup.name}, ${dayAndTime(setup.at)}, ${sights.length} sights`] as const)}
          onChange={(next) => {
            setChosen(next);
            setTyped(null);
          }}
        />
      )}
      <p>
        {raw.setup.instrument.name}, {units.length(raw.setup.instrumentHeight)} {units.unit} high; taken by {raw.setup.by}. They become a set-up of this site,
        to be looked at and accepted under Station.
      </p>
      <Field
        className="mt-3 max-w-xs"
        label="Name of the set-up here"
        value={typed ?? free}
        maxLength={80}
        onChange={(event) => setTyped(event.target.value)}
        error={name === '' ? 'Give it a name.' : taken === null ? null : `There is ${taken} already.`}
        help={free === raw.setup.name ? null : `${raw.setup.name} is the name of another set-up here.`}
      />
      {found.assumed !== null && (
        <p className="mt-2">
          The file does not say how precise the instrument is, nor how the targets were carried: they are reckoned as good as those of {found.assumed}, and
          distances as put right for prism and air.
        </p>
      )}
      {solved?.ok && (
        <p className="mt-2">
          Its station computed again: {units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(solved.value[axis])}`).join(', ')}, height{' '}
          {units.length(solved.value.height?.z ?? null)}
          {same !== null && (same === 0 ? ', the same as in the file to the last digit.' : `, ${smallLength(same, units.lengthUnit)} from what the file says.`)}
        </p>
      )}
      {solved && !solved.ok && <p className="mt-2 text-ochre">By themselves these sights give no station yet.</p>}
      {impossible.length > 0 && (
        <p className="mt-2 font-medium text-brick" role="alert">
          {impossible.join(', ')}: a wall target has no pole, and the file gives its sights a target height. They are kept as they were read: leave their
          heights out, or put the height right under “An entry was wrong”.
        </p>
      )}
      {left.length > 0 && <p className="mt-2">Left out of it: {left.join(', ')}. That comes along.</p>}
      {fresh.length > 0 && <p className="mt-2">New on this site: {fresh.map(({ name }) => name).join(', ')}. They are listed with the figures of the file.</p>}
      {elsewhere.length > 0 && (
        <p className="mt-2 font-medium text-ochre" role="alert">
          Listed here with other figures, which count:{' '}
          {elsewhere
            .map(({ name, byPlan, byHeight }) =>
              [
                `${name}`,
                byPlan ? `${smallLength(byPlan, units.lengthUnit)} away` : '',
                byHeight ? `${smallLength(Math.abs(byHeight), units.lengthUnit)} ${byHeight > 0 ? 'higher' : 'lower'} in the file` : '',
              ]
                .filter(Boolean)
                .join(' '),
            )
            .join(', ')}
          . The station will come out accordingly.
        </p>
      )}
    </Dialog>
  );
}
