import { beforeEach, describe, expect, it } from '@jest/globals';
import { useState } from 'react';
import { act, screen, waitFor, within } from '@testing-library/react';
import { LibraryDialog } from '../src/features/equipment/LibraryDialog.tsx';
import { PoleFields, poleDraft } from '../src/pole/PoleFields.tsx';
import {
  carriedOver,
  newSetup,
  occupationOf,
  readSetup,
  type SetupDraft,
} from '../src/features/station/stationSetup.ts';
import { changePole, currentLink, openTyped } from '../src/link/linkStore.ts';
import { TypedReading } from '../src/pole/TypedReading.tsx';
import { unitsOf, useUnits } from '../src/field/useUnits.ts';
import { newId } from '../../records/test/story.ts';
import { begin, said, show, SITE_ID, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

function equipped(): Story {
  const story = new Story().control();
  const list = (what: Parameters<typeof story.say<'equipment'>>[1]['what']) =>
    story.say('equipment', { item: newId(), what, retired: false, supersedes: null });
  list({ kind: 'target', name: 'Round prism', form: 'round', constantMm: 0, ownHeight: 0 });
  list({ kind: 'target', name: 'Small prism', form: 'small', constantMm: 11.5, ownHeight: 0.11 });
  list({ kind: 'pole', name: 'Pole 1', bubbleMinutes: 2, bubbleChecked: '2030-01-10' });
  list({
    kind: 'instrument',
    name: 'Instrument 7',
    angleSdSec: 2,
    distSdMm: 2,
    distSdPpm: 2,
    referenceC: 20,
    referenceHPa: 1013.25,
    wavelengthUm: 0.658,
    plummet: false,
    adjusted: null,
  });
  return story;
}

describe('the library', () => {
  it('lists what the crew carries, and when it was last tested', () => {
    show(equipped(), <LibraryDialog onClose={nothing} />);
    expect(screen.getByText(/constant \+11\.5 mm; center 0\.110 m above/)).toBeTruthy();
    expect(screen.getByText(/tested 2030-01-10, long ago/)).toBeTruthy();
    expect(screen.getByText(/no test recorded/)).toBeTruthy();
  });

  it('takes a new target, refuses what can’t be, and takes one off without losing it', async () => {
    const { user } = show(equipped(), <LibraryDialog onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Add a target' }));
    await user.type(screen.getByLabelText('Target name or serial no.'), 'round PRISM');
    await user.clear(screen.getByLabelText('Prism constant (mm)'));
    await user.type(screen.getByLabelText('Prism constant (mm)'), '900');
    await user.click(screen.getByRole('button', { name: 'Save equipment' }));
    expect(screen.getByText('This name is on the list already.')).toBeTruthy();
    expect(screen.getByText('Millimeters, from −500 to 500.')).toBeTruthy();
    expect(said()).toHaveLength(0);
    await user.type(screen.getByLabelText('Target name or serial no.'), ' 2');
    await user.clear(screen.getByLabelText('Prism constant (mm)'));
    await user.type(screen.getByLabelText('Prism constant (mm)'), '−17,5');
    await user.click(screen.getByRole('button', { name: 'Save equipment' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        type: 'equipment',
        body: { what: { kind: 'target', name: 'round PRISM 2', constantMm: -17.5 } },
      }),
    );
    await user.click(screen.getByRole('button', { name: 'Change Small prism' }));
    await user.click(screen.getByRole('button', { name: 'Retire equipment' }));
    await waitFor(() => expect(said()[1]).toMatchObject({ body: { retired: true, what: { name: 'Small prism' } } }));
  });
});

describe('what the prism is carried on', () => {
  function Fields({ story }: { story: Story }) {
    const units = useUnits();
    const [draft, setDraft] = useState(() =>
      poleDraft({ targetHeight: 1.5, legs: true, target: null, item: null }, units),
    );
    void story;
    return <PoleFields draft={draft} onChange={setDraft} />;
  }

  it('is chosen by a big button, and its height is put together', async () => {
    const story = equipped();
    const { user } = show(story, <Fields story={story} />);
    await user.click(screen.getByRole('button', { name: 'Small prism' }));
    expect(screen.getByText('+ 0.110 of the Small prism = target height 1.610 m')).toBeTruthy();
    expect(screen.getByText(/low on the pole a lean does little/)).toBeTruthy();
  });

  it('with another target and the height of the one before is asked about', async () => {
    const story = equipped();
    const occupation = story.occupy('S1');
    story.sight(occupation, 'K1');
    const { user } = show(story, <Fields story={story} />);
    await user.click(screen.getByRole('button', { name: 'Small prism' }));
    await user.clear(screen.getByLabelText('Pole reading (m)'));
    // 1.39 on the pole and 0.11 of the prism are what the round one had.
    await user.type(screen.getByLabelText('Pole reading (m)'), '4.811');
    expect(screen.getByText(/the last height in another unit/)).toBeTruthy();
  });

  it('goes with a typed reading, constant and parts and all', async () => {
    const story = equipped();
    const small = story.state.equipment.find((each) => each.body.what.name === 'Small prism')!;
    openTyped(SITE_ID);
    act(() => changePole({ targetHeight: 1.5, legs: true, target: null, item: null }));
    let read: unknown = null;
    const { user } = show(story, <TypedReading title="Reading to K1" />);
    act(
      () =>
        void currentLink()!
          .measure(new AbortController().signal)
          .then((taken) => (read = taken)),
    );
    await screen.findByRole('dialog');
    await user.type(screen.getByLabelText('Horizontal circle'), '10');
    await user.type(screen.getByLabelText('Zenith angle'), '90');
    await user.click(screen.getByLabelText('The target height is still the one of the last sight'));
    // Another target is another thing to look at: the tick is gone.
    await user.click(screen.getByRole('button', { name: 'Small prism' }));
    await user.click(screen.getByRole('button', { name: 'Save shot' }));
    expect(read).toBeNull();
    await user.click(screen.getByLabelText('The target height is right'));
    await user.click(screen.getByRole('button', { name: 'Save shot' }));
    await waitFor(() => expect(read).not.toBeNull());
    expect(currentLink()!.state().pole).toMatchObject({
      targetHeight: 1.61,
      target: { item: small.body.item, constantMm: 11.5 },
    });
  });
});

describe('a new placing', () => {
  const units = unitsOf({ lengthUnit: 'metre', angleUnit: 'dms', axisOrder: 'EN' });
  const draft = (story: Story, change: Partial<SetupDraft> = {}): SetupDraft => ({
    ...newSetup(story.state, units),
    temperature: '16',
    ...change,
  });
  const errors = (story: Story, change: Partial<SetupDraft>, simulated = false) =>
    readSetup(draft(story, change), story.state, units, simulated).errors;

  it('takes the instrument of the library, with the air that it was made for', () => {
    const story = equipped();
    const setup = draft(story);
    const read = readSetup(setup, story.state, units, false);
    const body = occupationOf(setup, read, story.state, units, null);
    expect(body).toMatchObject({
      instrument: { name: 'Instrument 7', angleSdSec: 2 },
      method: 'free',
      over: null,
      assumed: null,
    });
    expect(body.instrumentItem).toBe(
      story.state.equipment.find((each) => each.body.what.kind === 'instrument')!.body.item,
    );
    // Made for 20 °C: at 16 °C the air is denser, so distances come out a little short of true.
    expect(body.ppm).toBeLessThan(0);
    expect(
      readSetup(draft(story, { temperature: '20', pressure: '1013.25' }), story.state, units, false).ppm,
    ).toBeCloseTo(0, 6);
  });

  it('says which entry can’t be', () => {
    const story = equipped();
    expect(errors(story, { temperature: '400' }).temperature).toContain('400 °C is no air temperature');
    expect(errors(story, { method: 'overMark', height: '0' })).toMatchObject({
      zero: expect.stringContaining('Over a mark with an elevation, zero'),
    });
    expect(errors(story, { method: 'overMark' }).over).toContain('has no plummet');
    expect(errors(story, { method: 'overMark' }, true)).toEqual({});
    expect(errors(story, { method: 'overMark', assumed: true, toward: '' }, true)).toHaveProperty('toward');
    expect(errors(story, { method: 'onLines' }, true).method).toContain('No drawn lines yet');
    expect(
      errors(story, { instrument: 'other', precision: { name: '', angleSd: '0', distanceMm: '2', distancePpm: '2' } }),
    ).toHaveProperty('precision');
  });

  it('keeps a typed direction with what the circle reads there', () => {
    const story = equipped();
    const setup = draft(story, {
      method: 'overMark',
      assumed: true,
      azimuth: '90',
      circle: '0 30',
      toward: 'the shed',
    });
    const body = occupationOf(setup, readSetup(setup, story.state, units, true), story.state, units, null);
    expect(body.assumed).toEqual({ azimuthDeg: 90, circleDeg: 0.5, to: 'the shed' });
  });

  it('tells what is as it was at the station before, until it is confirmed', () => {
    const story = equipped();
    expect(carriedOver(story.state, draft(story), units, null)).toEqual([]);
    story.occupy('S1');
    expect(carriedOver(story.state, draft(story), units, null).map((item) => item.what)).toEqual([
      'weather',
      'instrument',
    ]);
  });
});

describe('the settings', () => {
  it('say what people are and who may accept', async () => {
    const { EditSite } = await import('../src/settings/EditSite.tsx');
    const story = new Story().control();
    const { user } = show(story, <EditSite onClose={nothing} />);
    await user.selectOptions(screen.getByLabelText('Mara Lindqvist'), 'lead');
    const provisional = within(screen.getByRole('group', { name: /May accept provisional/ }));
    await user.click(provisional.getByLabelText('Lead'));
    await user.type(screen.getByLabelText(/^Paint/), 'white for control');
    await user.click(screen.getByRole('button', { name: 'Save settings' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        type: 'site',
        body: {
          paint: 'white for control',
          roles: [{ member: story.who, role: 'lead' }],
          mayAccept: { accepted: [], provisional: ['lead'] },
        },
      }),
    );
  });
});
