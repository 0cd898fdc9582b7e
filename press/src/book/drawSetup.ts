/** The page of a set-up: what it was, what was sighted and set, and what came of it. */
import { formatSigned, type Checkability } from '@idle-marker/core';
import type { SetupBook } from '@idle-marker/records';
import {
  msg,
  angleAsRead,
  angleText,
  cutFillWords,
  goodToWords,
  proofOutcomeWords,
  proofFigureWords,
  setupSteps,
  smallUnit,
  unitAbbreviationWords,
  withoutStop,
  worded,
  smallFigure,
  airWords,
  offAxes,
  offAxesHead,
  partWord,
} from '@idle-marker/words';
import type { Column } from '../pdf/flow.ts';
import { asFigure, asFrame, INKS, LEAST_SIZE, MARGIN, write } from '../pdf/pdfPage.ts';
import type { Pen } from './pen.ts';

const SKETCH_HEIGHT = 170;
const LEAST_EMPTY_SKETCH = 80;

/** What was said of it then, where the rules were others. */
const thenSaid = (then: Checkability | null): string =>
  then === null ? '' : msg('papers.byTheRulesOfThenItWas', { then });

const judgedWords = worded(
  () =>
    ({
      checked: msg('papers.judgedAsChecked'),
      unchecked: msg('papers.judgedAsUnchecked'),
      refused: msg('papers.judgedAsNotToBeUsed'),
    }) as const,
);
const verdictWords = worded(
  () => ({ accepted: 'accepted', provisional: msg('papers.acceptedAsProvisional'), refused: 'refused' }) as const,
);

export async function drawSetup(pen: Pen, book: SetupBook): Promise<void> {
  const { flow, clock } = pen;
  flow.about(msg('papers.setUp', { name: book.name }));
  flow.title(
    msg('papers.setUp', { name: book.name }),
    msg('papers.to2', {
      day: clock.day(book.from),
      time: clock.time(book.from),
      time2: clock.time(book.to),
      closed: book.closed ? ', closed' : msg('papers.stillOpen'),
    }),
    16,
  );
  flow.pairs(setupPairs(pen, book));
  for (const notice of book.notices) flow.text(notice, { colour: INKS.brick });
  for (const decision of book.decisions) drawDecision(pen, decision);
  for (const { at, text } of book.putOff) flow.text(`${clock.time(at)}  ${text}`, { colour: INKS.brick });
  if (book.control.length > 0) await drawControl(pen, book);
  await drawSights(pen, book);
  if (book.proofs.length > 0) drawProofs(pen, book);
  if (book.marks.length > 0) await drawMarks(pen, book);
  if (book.measured.length > 0) {
    flow.heading(msg('papers.sightedAgainDirectionsAndThingsAsThey'));
    for (const { at, by, text } of book.measured) flow.text(`${clock.time(at)}  ${by}: ${text}`);
  }
  if (book.corrections.length > 0) {
    flow.heading(msg('papers.putRightOrTakenBackLater'));
    for (const { at, by, text } of book.corrections)
      flow.text(`${clock.day(at)} ${clock.time(at)}  ${by}: ${text}`, { colour: INKS.brick });
  }
  if (book.remarks.length > 0) {
    flow.heading(msg('common.remarks'));
    for (const { at, by, text } of book.remarks) flow.text(`${clock.time(at)}  ${by}: ${text}`);
  }
  if (book.photos.length > 0) drawPhotos(pen, book.photos);
  drawEmptySketch(pen);
}

/** Room to draw by hand, where the page has it: nobody prints a page for an empty frame. */
function drawEmptySketch({ flow }: Pen): void {
  flow.space(10);
  const height = Math.min(SKETCH_HEIGHT, flow.left - 4);
  if (height < LEAST_EMPTY_SKETCH) return;
  asFrame(flow.page, () =>
    flow.page.rect(MARGIN, flow.y, flow.width, height).lineWidth(0.75).strokeColor(INKS.ink).stroke(),
  );
  write(flow.page, msg('common.sketch'), MARGIN + 6, flow.y + 5, 'regular', LEAST_SIZE, INKS.ink);
  flow.space(height);
}

/** What the set-up was: who, with what, in what weather, and what came of it. */
function setupPairs(pen: Pen, book: SetupBook): readonly (readonly [string, string])[] {
  const { clock, length, small, unit, axes } = pen;
  const abbreviation = unitAbbreviationWords()[unit];
  const { weather, instrument, station } = book;
  const steps = setupSteps().flatMap((step) => {
    const at = book.checklist.find((each) => each.step === step.id)?.at;
    return at ? [`${clock.time(at)} ${step.short}`] : [];
  });
  const place =
    station &&
    (axes === 'EN'
      ? `E ${length(station.e)}, N ${length(station.n)}`
      : `N ${length(station.n)}, E ${length(station.e)}`);
  return [
    [msg('papers.who'), book.by],
    [
      msg('common.instrument'),
      msg('papers.mmPpmHigh', {
        name: instrument.name,
        angleSdSec: instrument.angleSdSec,
        distSdMm: instrument.distSdMm,
        distSdPpm: instrument.distSdPpm,
        length: length(book.instrumentHeight),
        abbreviation,
        instrumentHeightWas:
          book.instrumentHeightWas === null
            ? ''
            : msg('papers.enteredAsPutRightLater', { length: length(book.instrumentHeightWas) }),
      }),
    ],
    [
      msg('papers.weather'),
      msg('papers.cHpaPpmOn', {
        air: airWords(weather.temperatureC, weather.pressureHPa, unit),
        signed: formatSigned(weather.ppm, 1),
        windy: weather.windy ? ', windy' : '',
        ground: weather.ground,
      }),
    ],
    [msg('common.settingUp'), steps.join('; ') || msg('papers.noStepTicked')],
    [
      msg('common.station'),
      station
        ? msg('papers.height95CircleTurnedBy', {
            place,
            length: length(station.z),
            abbreviation,
            goodToMm:
              station.goodToMm === null
                ? goodToWords(null, unit)
                : `${small(station.goodToMm).replace('+', '')} ${smallUnit(unit).name}`,
            angle: angleText(station.orientationDeg, pen.angleUnit),
          })
        : msg('papers.notDecided'),
    ],
    ...(book.check.length > 0 ? [[msg('common.checked'), book.check.join(' ')] as const] : []),
    [msg('common.leftOut2'), book.leftOut.join(', ') || 'nothing'],
  ];
}

function drawDecision({ flow, clock }: Pen, decision: SetupBook['decisions'][number]): void {
  flow.text(
    msg('papers.by4', {
      time: clock.time(decision.at),
      station: decision.station,
      verdict: verdictWords()[decision.verdict],
      by: decision.by,
      reason: decision.reason ? `: ${withoutStop(decision.reason)}` : '',
      withdrawn:
        decision.withdrawn === null ? '' : msg('papers.withdrawn', { withoutStop: withoutStop(decision.withdrawn) }),
    }),
    { colour: decision.verdict === 'accepted' && decision.withdrawn === null ? INKS.ink : INKS.brick },
  );
  if (decision.judged)
    flow.text(
      `${judgedWords()[decision.judged.verdict]}: ${decision.judged.because.join(' ')}${thenSaid(decision.judged.byRulesOfThen)}`,
      { colour: INKS.ink2 },
    );
}

async function drawControl({ flow, clock, length, small, unit, axes }: Pen, book: SetupBook): Promise<void> {
  flow.heading(msg('papers.controlAsItWasUsedAndHow'));
  const fits = new Map(book.fits.map((fit) => [fit.name, fit]));
  const axisColumns: Column<(typeof book.control)[number]>[] = [
    { title: msg('common.east'), right: true, text: ({ e }) => length(e) },
    { title: msg('common.north'), right: true, text: ({ n }) => length(n) },
  ];
  await flow.table(
    [
      { title: msg('common.mark'), text: ({ name }) => name },
      ...(axes === 'EN' ? axisColumns : axisColumns.reverse()),
      { title: msg('common.height'), right: true, text: ({ z }) => length(z) },
      {
        title: msg('papers.sdPlanHeight', { unit: smallUnit(unit).name }),
        right: true,
        text: ({ sdHMm, sdZMm }) => `${smallFigure(sdHMm, unit)} / ${smallFigure(sdZMm, unit)}`,
      },
      {
        title: msg('papers.measuredListedENHeight', {
          name: smallUnit(unit).name,
          axes: axes === 'EN' ? 'E / N' : 'N / E',
        }),
        right: true,
        text: ({ name }) => fitText(fits.get(name), small, axes),
      },
      { title: msg('papers.usedIn'), text: ({ name }) => usedText(fits.get(name)) },
      {
        title: msg('papers.revisionSourceListed'),
        text: ({ source, revision, listedAt }) => `r${revision}: ${source}, ${clock.day(listedAt)}`,
      },
    ],
    book.control,
  );
}

async function drawSights({ flow, clock, length, unit, angleUnit, progress }: Pen, book: SetupBook): Promise<void> {
  const abbreviation = unitAbbreviationWords()[unit];
  flow.heading(msg('papers.sightsAsReadAndReduced'));
  await flow.table(
    [
      { title: msg('common.at'), text: ({ at }) => clock.time(at) },
      { title: msg('papers.target2'), text: ({ target, purpose }) => `${target} (${purpose})` },
      { title: msg('papers.face'), text: ({ face }) => String(face) },
      {
        title: msg('papers.circle'),
        right: true,
        text: ({ read }) => angleAsRead(read.circle, read, angleUnit),
      },
      {
        title: msg('papers.zenith'),
        right: true,
        text: ({ read }) => angleAsRead(read.zenith, read, angleUnit),
      },
      {
        title: msg('common.slope'),
        right: true,
        text: ({ read }) =>
          read.slope === null
            ? '–'
            : `${read.slope.toFixed(read.lengthDecimals)} ${unitAbbreviationWords()[read.lengthUnit]}`,
      },
      {
        title: msg('papers.target', { abbreviation }),
        right: true,
        text: ({ targetHeight, targetHeightWas }) =>
          targetHeightWas === null
            ? length(targetHeight)
            : msg('papers.was', { length: length(targetHeight), length2: length(targetHeightWas) }),
      },
      {
        title: msg('papers.prismMmPpm'),
        right: true,
        text: ({ prismConstantMm, prismConstantWas, ppm }) =>
          `${prismConstantMm}${prismConstantWas === null ? '' : msg('papers.was2', { prismConstantWas })} / ${ppm.toFixed(1)}`,
      },
      {
        title: msg('papers.level', { abbreviation }),
        right: true,
        text: ({ horizontal }) => length(horizontal),
      },
      { title: msg('papers.rise', { abbreviation }), right: true, text: ({ rise }) => length(rise) },
      {
        title: msg('papers.usedIn'),
        text: ({ used, withdrawn }) => (withdrawn === null ? used : msg('papers.withdrawnWith', { withdrawn })),
      },
    ],
    book.sights,
    { crossedOut: ({ withdrawn }) => withdrawn !== null, progress },
  );
}

function drawProofs({ flow, clock, unit, axes }: Pen, book: SetupBook): void {
  flow.heading(msg('common.proofs'));
  for (const { at, on, plan, height, figures, withdrawn } of book.proofs) {
    const measured = proofFigureWords(figures, unit, axes);
    flow.text(
      msg('papers.planHeight', {
        time: clock.time(at),
        on,
        proofOutcome: proofOutcomeWords()[plan],
        proofOutcome2: proofOutcomeWords()[height],
        measured: measured && `; ${measured}`,
        withdrawn: withdrawn ? '; withdrawn' : '',
      }),
      { colour: plan === 'outside' || height === 'outside' ? INKS.brick : INKS.ink },
    );
  }
}

async function drawMarks({ flow, clock, length, unit, axes }: Pen, book: SetupBook): Promise<void> {
  const abbreviation = unitAbbreviationWords()[unit];
  flow.heading(msg('papers.marksOffInMm', { abbreviation }));
  await flow.table(
    [
      { title: msg('common.at'), text: ({ at }) => clock.time(at) },
      { title: msg('common.mark'), text: ({ name }) => name },
      { title: msg('papers.package'), text: (mark) => mark.package },
      { title: msg('common.state'), text: ({ state }) => state },
      { title: offAxesHead(axes, unit), right: true, text: (mark) => offAxes(mark, axes, unit) },
      { title: msg('common.hub'), right: true, text: ({ hubZ }) => length(hubZ) },
      { title: 'Cut / fill', right: true, text: ({ cutFill }) => cutFillWords(cutFill, unit) },
      { title: msg('papers.standing'), text: ({ standing }) => standing },
    ],
    book.marks,
  );
}

/** Room that a heading takes. */
const HEADING = 30;
const PHOTO = { width: 160, height: 120, gap: 14, foot: 38 } as const;

/** In rows, each with what it shows and when; one that PDF can't hold has its words alone. */
function drawPhotos({ flow, clock, photos }: Pen, taken: SetupBook['photos']): void {
  const { page } = flow;
  const tall = PHOTO.height + PHOTO.foot;
  flow.room(HEADING + tall);
  flow.heading(msg('papers.photos'));
  const columns = Math.floor((flow.width + PHOTO.gap) / (PHOTO.width + PHOTO.gap));
  for (const [i, photo] of taken.entries()) {
    const column = i % columns;
    if (column === 0 && i > 0) {
      flow.space(tall);
      flow.room(tall);
    }
    const x = MARGIN + column * (PHOTO.width + PHOTO.gap);
    const bytes = photos?.get(photo.image);
    const say = (text: string, y: number) =>
      write(page, text, x, y, 'regular', LEAST_SIZE, INKS.ink, { width: PHOTO.width, lineBreak: true });
    const about = `${photo.of}, ${clock.time(photo.at)}${photo.caption ? `: ${photo.caption}` : ''}`;
    if (bytes) asFigure(page, about, () => page.image(bytes, x, flow.y, { fit: [PHOTO.width, PHOTO.height] }));
    else say(msg('papers.keptButNotInAFormThat'), flow.y + 4);
    say(about, flow.y + PHOTO.height + 2);
  }
  flow.space(tall);
}

const fitText = (fit: SetupBook['fits'][number] | undefined, small: Pen['small'], axes: Pen['axes']): string => {
  if (!fit) return '–';
  const [e, n] = [small(fit.dEMm), small(fit.dNMm)];
  return `${(axes === 'EN' ? [e, n] : [n, e]).join(' / ')} / ${small(fit.dZMm)}`;
};
const usedText = (fit: SetupBook['fits'][number] | undefined): string =>
  fit
    ? [fit.plan && 'plan', fit.height && partWord('height')].filter(Boolean).join(', ') || 'nothing'
    : msg('papers.notUsed');
