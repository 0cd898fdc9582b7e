import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { LARGEST_UPLOAD_BYTES, readRawSights, type RawSights } from '@idle-marker/contract';
import { controlElsewhere, factsOfRaw, stationOfRaw } from '@idle-marker/records';
import { rawSightsFaultWords, smallLength } from '@idle-marker/words';
import { newId } from '../../ledger/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';

/** Takes a file of raw sights in as a set-up of this site; the station is looked at and accepted as any other. */
export function TakeRawSights() {
  const { occupation, state } = useSite();
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [raw, setRaw] = useState<RawSights | null>(null);
  const take = async (file: File) => {
    setTrouble(null);
    if (file.size > LARGEST_UPLOAD_BYTES) {
      setTrouble(`${file.name} is too large for the sights of one placing. Nothing was taken.`);
      return;
    }
    const read = readRawSights(await file.text());
    if (!read.ok) setTrouble(`${file.name} was not taken. ${rawSightsFaultWords(read.error)}`);
    else if (read.value.header.combinedScaleFactor !== state.settings.combinedScaleFactor)
      setTrouble(
        `${file.name} was not taken: its grid distances are ${read.value.header.combinedScaleFactor} of ground distances, those of this site ${state.settings.combinedScaleFactor}. Its station would come out another one here.`,
      );
    else setRaw(read.value);
  };
  return (
    <div className="mt-3 border-t border-rule pt-3">
      <input
        ref={input}
        type="file"
        accept=".jsonl,application/x-ndjson"
        className="sr-only"
        tabIndex={-1}
        aria-label="File of raw sights"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file);
          event.target.value = '';
        }}
      />
      <Button disabled={occupation !== null} onClick={() => input.current?.click()}>
        Take raw sights in…
      </Button>
      {occupation !== null && <p className="mt-1 text-[13px] text-ink2">{occupation.body.name} is still set up: close it first.</p>}
      {trouble && (
        <p className="mt-2 font-medium text-brick" role="alert">
          {trouble}
        </p>
      )}
      {raw && <TakeDialog raw={raw} onClose={() => setRaw(null)} />}
    </div>
  );
}

function TakeDialog({ raw, onClose }: { readonly raw: RawSights; onClose(): void }) {
  const { id, state, say } = useSite();
  const units = useUnits();
  const navigate = useNavigate();
  const solved = stationOfRaw(raw);
  const elsewhere = controlElsewhere(state, raw);
  const fresh = raw.control.filter((each) => !state.control.some((mark) => mark.revision.body.name === each.name));
  const same = solved?.ok && raw.station ? Math.hypot(solved.value.e - raw.station.result.e, solved.value.n - raw.station.result.n) : null;
  const take = async () => {
    await say(...factsOfRaw(state, raw, newId));
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
          <Button look="primary" onClick={() => void take()}>
            Take them in
          </Button>
        </>
      }
    >
      <p>
        {raw.setup.instrument.name}, {units.length(raw.setup.instrumentHeight)} {units.unit} high; taken by {raw.setup.by}. They become a set-up of this site,
        to be looked at and accepted under Station.
      </p>
      {solved?.ok && (
        <p className="mt-2">
          Its station computed again: {units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(solved.value[axis])}`).join(', ')}, height{' '}
          {units.length(solved.value.height?.z ?? null)}
          {same !== null && (same === 0 ? ', the same as in the file to the last digit.' : `, ${smallLength(same, units.lengthUnit)} from what the file says.`)}
        </p>
      )}
      {solved && !solved.ok && <p className="mt-2 text-ochre">By themselves these sights give no station yet.</p>}
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
