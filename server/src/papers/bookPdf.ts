/** Pages of the field book on paper: of a set-up and of a day, with room left to draw what no record holds. */
import { formatSigned, type Checkability } from '@idle-marker/core';
import type { DayBook, SetupBook } from '@idle-marker/records';
import {
  ACTIVITY,
  angleAsRead,
  angleText,
  cutFillWords,
  goodToWords,
  PROOF_OUTCOME,
  proofFigureWords,
  SETUP_STEPS,
  smallUnit,
  UNIT_ABBREVIATION,
  withoutStop,
} from '@idle-marker/words';
import { finish, footPages, INKS, MARGIN, room, widthOf, write } from '../pdf/pdfPage.ts';
import { heading, line, pairs, penOf, table, type BookAsked, type Column, type Pen } from './pen.ts';

const SKETCH_HEIGHT = 170;

export async function setupPdf(book: SetupBook, asked: BookAsked): Promise<Buffer> {
  const pen = penOf(`Field book: set-up ${book.name}, ${asked.site}`, asked, book.from);
  await drawSetup(pen, book, MARGIN);
  footPages(pen.page, `${asked.site} · ${pen.clock.day(book.from)}`, '');
  return finish(pen.page);
}

export async function dayPdf(book: DayBook, asked: BookAsked): Promise<Buffer> {
  const own = book.setups[0]?.from ?? book.entries[0]?.at ?? `${book.day}T12:00:00.000Z`;
  const pen = penOf(`Field book: ${book.day}, ${asked.site}`, asked, own);
  const { page, clock } = pen;
  write(page, `Field book, ${clock.day(own)}`, MARGIN, MARGIN, 'bold', 18, INKS.ink);
  let y = MARGIN + 26;
  y = pairs(pen, y, [
    ['Site', book.site],
    ['People', book.people.join(', ')],
    ['Set-ups', book.setups.map((setup) => `${setup.name} ${clock.time(setup.from)} to ${clock.time(setup.to)}`).join('; ') || 'none'],
    [
      'Time',
      book.times
        .filter(({ minutes, count }) => minutes > 0 || count > 0)
        .map(({ activity, minutes, count }) => `${ACTIVITY[activity]} ${minutes} min${count > 0 ? ` (${count})` : ''}`)
        .join('; ') || 'none',
    ],
    [
      'Sheets',
      book.sheets
        .map(
          (sheet) =>
            `${clock.time(sheet.at)} cut sheet ${sheet.number}, revision ${sheet.revision}, ${sheet.package}: ${sheet.marks} marks to ${sheet.givenTo}`,
        )
        .join('; ') || 'none',
    ],
    ['Control not used', book.rejected.map(({ name, why }) => `${name}: ${why}`).join('; ') || 'none'],
    [
      'End of the day',
      book.ended
        ? `${clock.time(book.ended.at)} by ${book.ended.by}${book.ended.unfinished ? `, UNFINISHED: ${book.ended.unfinished}` : ''}${book.ended.note ? `. ${book.ended.note}` : ''}`
        : 'not closed',
    ],
  ]);
  if (book.entries.length > 0) {
    y = heading(pen, y, 'Entries outside of set-ups');
    for (const { at, by, text } of book.entries) y = line(pen, y, `${clock.time(at)}  ${by}: ${text}`);
  }
  for (const [i, setup] of book.setups.entries()) {
    page.addPage({ size: 'A4', margin: MARGIN });
    y = await drawSetup(pen, setup, MARGIN);
    await asked.progress(i + 1, book.setups.length);
  }
  footPages(page, `${book.site} · ${clock.day(own)} · ${book.timeZone}`, '');
  return finish(page);
}

/** What was said of it then, where the rules were others. */
const thenSaid = (then: Checkability | null): string => (then === null ? '' : ` By the rules of then it was called ${then}.`);

const JUDGED = { checked: 'Judged as checked', unchecked: 'Judged as unchecked', refused: 'Judged as not to be used' } as const;
const VERDICT = { accepted: 'accepted', provisional: 'accepted as provisional', refused: 'refused' } as const;

async function drawSetup(pen: Pen, book: SetupBook, top: number): Promise<number> {
  const { page, clock, length, small, unit, axes } = pen;
  const abbreviation = UNIT_ABBREVIATION[unit];
  write(page, `Set-up ${book.name}`, MARGIN, top, 'bold', 16, INKS.ink);
  write(
    page,
    `${clock.day(book.from)}, ${clock.time(book.from)} to ${clock.time(book.to)}${book.closed ? ', closed' : ', still open'}`,
    MARGIN,
    top + 4,
    'regular',
    9.5,
    INKS.ink2,
    {
      width: widthOf(page),
      align: 'right',
    },
  );
  const { weather, instrument, station } = book;
  const steps = SETUP_STEPS.flatMap((step) => {
    const at = book.checklist.find((each) => each.step === step.id)?.at;
    return at ? [`${clock.time(at)} ${step.short}`] : [];
  });
  const place = station && (axes === 'EN' ? `E ${length(station.e)}, N ${length(station.n)}` : `N ${length(station.n)}, E ${length(station.e)}`);
  let y = pairs(pen, top + 24, [
    ['Who', book.by],
    [
      'Instrument',
      `${instrument.name}, ${instrument.angleSdSec}″, ${instrument.distSdMm} mm + ${instrument.distSdPpm} ppm; ${length(book.instrumentHeight)} ${abbreviation} high${book.instrumentHeightWas === null ? '' : ` (entered as ${length(book.instrumentHeightWas)}, put right later)`}`,
    ],
    [
      'Weather',
      `${weather.temperatureC} °C, ${weather.pressureHPa} hPa: ${formatSigned(weather.ppm, 1)} ppm${weather.windy ? ', windy' : ''}; on ${weather.ground}`,
    ],
    ['Setting up', steps.join('; ') || 'no step ticked'],
    [
      'Station',
      station
        ? `${place}, height ${length(station.z)} ${abbreviation}; 95 %: ${station.goodToMm === null ? goodToWords(null, unit) : `${small(station.goodToMm).replace('+', '')} ${smallUnit(unit).name}`}; circle turned by ${angleText(station.orientationDeg, pen.angleUnit)}`
        : 'not decided',
    ],
    ...(book.check.length > 0 ? [['Checked', book.check.join(' ')] as const] : []),
    ['Left out', book.leftOut.join(', ') || 'nothing'],
  ]);
  for (const notice of book.notices) y = line(pen, y, notice, INKS.brick);
  for (const decision of book.decisions) {
    y = line(
      pen,
      y,
      `${clock.time(decision.at)}  ${decision.station} ${VERDICT[decision.verdict]} by ${decision.by}${decision.reason ? `: ${withoutStop(decision.reason)}` : ''}${decision.withdrawn === null ? '' : `; WITHDRAWN: ${withoutStop(decision.withdrawn)}`}`,
      decision.verdict === 'accepted' && decision.withdrawn === null ? INKS.ink : INKS.brick,
    );
    if (decision.judged)
      y = line(pen, y, `${JUDGED[decision.judged.verdict]}: ${decision.judged.because.join(' ')}${thenSaid(decision.judged.byRulesOfThen)}`, INKS.ink2);
  }
  for (const { at, text } of book.putOff) y = line(pen, y, `${clock.time(at)}  ${text}`, INKS.brick);
  if (book.control.length > 0) {
    y = heading(pen, y, 'Control, as it was used, and how it fitted');
    const fits = new Map(book.fits.map((fit) => [fit.name, fit]));
    const axisColumns: Column<(typeof book.control)[number]>[] = [
      { title: 'East', width: 58, right: true, text: ({ e }) => length(e) },
      { title: 'North', width: 58, right: true, text: ({ n }) => length(n) },
    ];
    y = await table(
      pen,
      y,
      [
        { title: 'Mark', width: 44, text: ({ name }) => name },
        ...(axes === 'EN' ? axisColumns : axisColumns.reverse()),
        { title: 'Height', width: 48, right: true, text: ({ z }) => length(z) },
        { title: 'sd plan / height, mm', width: 54, right: true, text: ({ sdHMm, sdZMm }) => `${sdHMm ?? '–'} / ${sdZMm ?? '–'}` },
        { title: `Measured − listed, ${smallUnit(unit).name}: E / N / height`, width: 106, right: true, text: ({ name }) => fitText(fits.get(name), small) },
        { title: 'Used in', width: 56, text: ({ name }) => usedText(fits.get(name)) },
        { title: 'Revision, source, listed', width: 103, text: ({ source, revision, listedAt }) => `r${revision}: ${source}, ${clock.day(listedAt)}` },
      ],
      book.control,
    );
  }
  y = heading(pen, y, 'Sights, as read and reduced');
  y = await table(
    pen,
    y,
    [
      { title: 'At', width: 30, text: ({ at }) => clock.time(at) },
      { title: 'To', width: 53, text: ({ target, purpose }) => `${target} (${purpose})` },
      { title: 'Face', width: 27, text: ({ face }) => String(face) },
      { title: 'Circle', width: 60, right: true, text: ({ read }) => angleAsRead(read.circle, read, pen.angleUnit) },
      { title: 'Zenith', width: 60, right: true, text: ({ read }) => angleAsRead(read.zenith, read, pen.angleUnit) },
      {
        title: 'Slope',
        width: 46,
        right: true,
        text: ({ read }) => (read.slope === null ? '–' : `${read.slope.toFixed(read.lengthDecimals)} ${UNIT_ABBREVIATION[read.lengthUnit]}`),
      },
      {
        title: `Target, ${abbreviation}`,
        width: 48,
        right: true,
        text: ({ targetHeight, targetHeightWas }) =>
          targetHeightWas === null ? length(targetHeight) : `${length(targetHeight)}\nwas ${length(targetHeightWas)}`,
      },
      {
        title: 'Prism mm / ppm',
        width: 52,
        right: true,
        text: ({ prismConstantMm, prismConstantWas, ppm }) =>
          `${prismConstantMm}${prismConstantWas === null ? '' : ` (was ${prismConstantWas})`} / ${ppm.toFixed(1)}`,
      },
      { title: `Level, ${abbreviation}`, width: 46, right: true, text: ({ horizontal }) => length(horizontal) },
      { title: `Rise, ${abbreviation}`, width: 42, right: true, text: ({ rise }) => length(rise) },
      { title: 'Used in', width: 63, text: ({ used, withdrawn }) => (withdrawn === null ? used : `withdrawn: ${withdrawn}`) },
    ],
    book.sights,
    ({ withdrawn }) => withdrawn !== null,
  );
  if (book.proofs.length > 0) {
    y = heading(pen, y, 'Proofs');
    for (const { at, on, plan, height, figures, withdrawn } of book.proofs) {
      const measured = proofFigureWords(figures, unit, axes);
      y = line(
        pen,
        y,
        `${clock.time(at)}  ${on}: plan ${PROOF_OUTCOME[plan]}, height ${PROOF_OUTCOME[height]}${measured && `; ${measured}`}${withdrawn ? '; withdrawn' : ''}`,
        plan === 'outside' || height === 'outside' ? INKS.brick : INKS.ink,
      );
    }
  }
  if (book.marks.length > 0) {
    y = heading(pen, y, `Marks, ${abbreviation}; off in mm`);
    y = await table(
      pen,
      y,
      [
        { title: 'At', width: 34, text: ({ at }) => clock.time(at) },
        { title: 'Mark', width: 100, text: ({ name }) => name },
        { title: 'Package', width: 120, text: (mark) => mark.package },
        { title: 'State', width: 56, text: ({ state }) => state },
        { title: 'E / N off', width: 64, right: true, text: ({ dEMm, dNMm }) => `${formatSigned(dEMm, 0)} / ${formatSigned(dNMm, 0)}` },
        { title: 'Hub', width: 50, right: true, text: ({ hubZ }) => length(hubZ) },
        { title: 'Cut / fill', width: 60, right: true, text: ({ cutFill }) => cutFillWords(cutFill, unit) },
        { title: 'Standing', width: 43, text: ({ standing }) => standing },
      ],
      book.marks,
    );
  }
  if (book.measured.length > 0) {
    y = heading(pen, y, 'Sighted again, directions, and things as they stand');
    for (const { at, by, text } of book.measured) y = line(pen, y, `${clock.time(at)}  ${by}: ${text}`);
  }
  if (book.corrections.length > 0) {
    y = heading(pen, y, 'Put right or taken back later');
    for (const { at, by, text } of book.corrections) y = line(pen, y, `${clock.day(at)} ${clock.time(at)}  ${by}: ${text}`, INKS.brick);
  }
  if (book.remarks.length > 0) {
    y = heading(pen, y, 'Remarks');
    for (const { at, by, text } of book.remarks) y = line(pen, y, `${clock.time(at)}  ${by}: ${text}`);
  }
  if (book.photos.length > 0) y = drawPhotos(pen, book.photos, heading(pen, room(page, y, HEADING + PHOTO.height + PHOTO.foot), 'Photos'));
  y = room(page, y + 10, SKETCH_HEIGHT);
  page
    .rect(MARGIN, y, widthOf(page), SKETCH_HEIGHT - 10)
    .lineWidth(0.75)
    .strokeColor(INKS.ink)
    .stroke();
  write(page, 'Sketch', MARGIN + 6, y + 5, 'regular', 8, INKS.ink2);
  return y + SKETCH_HEIGHT;
}

/** Room that a heading takes. */
const HEADING = 30;
const PHOTO = { width: 160, height: 120, gap: 10, foot: 24 } as const;

/** Three in a row, each with what it shows and when; one that PDF can't hold has its words alone. */
function drawPhotos({ page, clock, photos }: Pen, taken: SetupBook['photos'], top: number): number {
  let y = top;
  for (const [i, photo] of taken.entries()) {
    const column = i % 3;
    if (column === 0) y = room(page, i === 0 ? y : y + PHOTO.height + PHOTO.foot, PHOTO.height + PHOTO.foot);
    const x = MARGIN + column * (PHOTO.width + PHOTO.gap);
    const bytes = photos?.get(photo.image);
    if (bytes) page.image(bytes, x, y, { fit: [PHOTO.width, PHOTO.height] });
    else write(page, 'kept, but not in a form that is printed', x, y + 4, 'regular', 7.5, INKS.ink2, { width: PHOTO.width, lineBreak: true });
    write(page, `${photo.of}, ${clock.time(photo.at)}${photo.caption ? `: ${photo.caption}` : ''}`, x, y + PHOTO.height + 2, 'regular', 7.5, INKS.ink2, {
      width: PHOTO.width,
      lineBreak: true,
    });
  }
  return y + PHOTO.height + PHOTO.foot;
}

const fitText = (fit: SetupBook['fits'][number] | undefined, small: Pen['small']): string =>
  fit ? `${small(fit.dEMm)} / ${small(fit.dNMm)} / ${small(fit.dZMm)}` : '–';
const usedText = (fit: SetupBook['fits'][number] | undefined): string =>
  fit ? [fit.plan && 'plan', fit.height && 'height'].filter(Boolean).join(', ') || 'nothing' : 'not used';
