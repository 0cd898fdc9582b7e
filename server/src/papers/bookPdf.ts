/** Pages of the field book on paper: of a set-up and of a day, with room left to draw what no record holds. */
import { formatSigned, type Checkability } from '@idle-marker/core';
import type { DayBook, SetupBook } from '@idle-marker/records';
import {
  msg,
  activityWords,
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
} from '@idle-marker/words';
import { finish, footPages, INKS, MARGIN, room, widthOf, write } from '../pdf/pdfPage.ts';
import { heading, line, pairs, penOf, table, type BookAsked, type Column, type Pen } from './pen.ts';

const SKETCH_HEIGHT = 170;

export async function setupPdf(book: SetupBook, asked: BookAsked): Promise<Buffer> {
  const pen = penOf(msg('papers.fieldBookSetUp', { name: book.name, site: asked.site }), asked, book.from);
  await drawSetup(pen, book, MARGIN);
  footPages(pen.page, `${asked.site} · ${pen.clock.day(book.from)}`, '');
  return finish(pen.page);
}

export async function dayPdf(book: DayBook, asked: BookAsked): Promise<Buffer> {
  const own = book.setups[0]?.from ?? book.entries[0]?.at ?? `${book.day}T12:00:00.000Z`;
  const pen = penOf(msg('papers.fieldBook', { day: book.day, site: asked.site }), asked, own);
  const { page, clock } = pen;
  write(page, msg('papers.fieldBook2', { day: clock.day(own) }), MARGIN, MARGIN, 'bold', 18, INKS.ink);
  let y = MARGIN + 26;
  y = pairs(pen, y, [
    [msg('common.site'), book.site],
    [msg('papers.people'), book.people.join(', ')],
    [
      'Set-ups',
      book.setups
        .map((setup) =>
          msg('papers.to', { name: setup.name, time: clock.time(setup.from), time2: clock.time(setup.to) }),
        )
        .join('; ') || 'none',
    ],
    [
      msg('papers.time'),
      book.times
        .filter(({ minutes, count }) => minutes > 0 || count > 0)
        .map(({ activity, minutes, count }) =>
          msg('papers.min', { activity: activityWords()[activity], minutes, count: count > 0 ? ` (${count})` : '' }),
        )
        .join('; ') || 'none',
    ],
    [
      msg('papers.sheets'),
      book.sheets
        .map((sheet) =>
          msg('papers.cutSheetRevisionMarksTo', {
            time: clock.time(sheet.at),
            number: sheet.number,
            revision: sheet.revision,
            package: sheet.package,
            marks: sheet.marks,
            givenTo: sheet.givenTo,
          }),
        )
        .join('; ') || 'none',
    ],
    [msg('papers.controlNotUsed'), book.rejected.map(({ name, why }) => `${name}: ${why}`).join('; ') || 'none'],
    [
      msg('papers.endOfTheDay'),
      book.ended
        ? msg('papers.by3', {
            time: clock.time(book.ended.at),
            by: book.ended.by,
            unfinished: book.ended.unfinished ? msg('papers.unfinished', { unfinished: book.ended.unfinished }) : '',
            note: book.ended.note ? `. ${book.ended.note}` : '',
          })
        : msg('papers.notClosed'),
    ],
  ]);
  if (book.entries.length > 0) {
    y = heading(pen, y, msg('papers.entriesOutsideOfSetUps'));
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

async function drawSetup(pen: Pen, book: SetupBook, top: number): Promise<number> {
  const { page, clock, length, small, unit, axes } = pen;
  const abbreviation = unitAbbreviationWords()[unit];
  write(page, msg('papers.setUp', { name: book.name }), MARGIN, top, 'bold', 16, INKS.ink);
  write(
    page,
    msg('papers.to2', {
      day: clock.day(book.from),
      time: clock.time(book.from),
      time2: clock.time(book.to),
      closed: book.closed ? ', closed' : msg('papers.stillOpen'),
    }),
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
  const steps = setupSteps().flatMap((step) => {
    const at = book.checklist.find((each) => each.step === step.id)?.at;
    return at ? [`${clock.time(at)} ${step.short}`] : [];
  });
  const place =
    station &&
    (axes === 'EN'
      ? `E ${length(station.e)}, N ${length(station.n)}`
      : `N ${length(station.n)}, E ${length(station.e)}`);
  let y = pairs(pen, top + 24, [
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
        temperatureC: weather.temperatureC,
        pressureHPa: weather.pressureHPa,
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
  ]);
  for (const notice of book.notices) y = line(pen, y, notice, INKS.brick);
  for (const decision of book.decisions) {
    y = line(
      pen,
      y,
      msg('papers.by4', {
        time: clock.time(decision.at),
        station: decision.station,
        verdict: verdictWords()[decision.verdict],
        by: decision.by,
        reason: decision.reason ? `: ${withoutStop(decision.reason)}` : '',
        withdrawn:
          decision.withdrawn === null ? '' : msg('papers.withdrawn', { withoutStop: withoutStop(decision.withdrawn) }),
      }),
      decision.verdict === 'accepted' && decision.withdrawn === null ? INKS.ink : INKS.brick,
    );
    if (decision.judged)
      y = line(
        pen,
        y,
        `${judgedWords()[decision.judged.verdict]}: ${decision.judged.because.join(' ')}${thenSaid(decision.judged.byRulesOfThen)}`,
        INKS.ink2,
      );
  }
  for (const { at, text } of book.putOff) y = line(pen, y, `${clock.time(at)}  ${text}`, INKS.brick);
  if (book.control.length > 0) {
    y = heading(pen, y, msg('papers.controlAsItWasUsedAndHow'));
    const fits = new Map(book.fits.map((fit) => [fit.name, fit]));
    const axisColumns: Column<(typeof book.control)[number]>[] = [
      { title: msg('common.east'), width: 58, right: true, text: ({ e }) => length(e) },
      { title: msg('common.north'), width: 58, right: true, text: ({ n }) => length(n) },
    ];
    y = await table(
      pen,
      y,
      [
        { title: msg('common.mark'), width: 44, text: ({ name }) => name },
        ...(axes === 'EN' ? axisColumns : axisColumns.reverse()),
        { title: msg('common.height'), width: 48, right: true, text: ({ z }) => length(z) },
        {
          title: msg('papers.sdPlanHeightMm'),
          width: 54,
          right: true,
          text: ({ sdHMm, sdZMm }) => `${sdHMm ?? '–'} / ${sdZMm ?? '–'}`,
        },
        {
          title: msg('papers.measuredListedENHeight', { name: smallUnit(unit).name }),
          width: 106,
          right: true,
          text: ({ name }) => fitText(fits.get(name), small),
        },
        { title: msg('papers.usedIn'), width: 56, text: ({ name }) => usedText(fits.get(name)) },
        {
          title: msg('papers.revisionSourceListed'),
          width: 103,
          text: ({ source, revision, listedAt }) => `r${revision}: ${source}, ${clock.day(listedAt)}`,
        },
      ],
      book.control,
    );
  }
  y = heading(pen, y, msg('papers.sightsAsReadAndReduced'));
  y = await table(
    pen,
    y,
    [
      { title: msg('common.at'), width: 30, text: ({ at }) => clock.time(at) },
      { title: msg('common.to2'), width: 53, text: ({ target, purpose }) => `${target} (${purpose})` },
      { title: msg('papers.face'), width: 27, text: ({ face }) => String(face) },
      {
        title: msg('papers.circle'),
        width: 60,
        right: true,
        text: ({ read }) => angleAsRead(read.circle, read, pen.angleUnit),
      },
      {
        title: msg('papers.zenith'),
        width: 60,
        right: true,
        text: ({ read }) => angleAsRead(read.zenith, read, pen.angleUnit),
      },
      {
        title: msg('common.slope'),
        width: 46,
        right: true,
        text: ({ read }) =>
          read.slope === null
            ? '–'
            : `${read.slope.toFixed(read.lengthDecimals)} ${unitAbbreviationWords()[read.lengthUnit]}`,
      },
      {
        title: msg('papers.target', { abbreviation }),
        width: 48,
        right: true,
        text: ({ targetHeight, targetHeightWas }) =>
          targetHeightWas === null
            ? length(targetHeight)
            : msg('papers.was', { length: length(targetHeight), length2: length(targetHeightWas) }),
      },
      {
        title: msg('papers.prismMmPpm'),
        width: 52,
        right: true,
        text: ({ prismConstantMm, prismConstantWas, ppm }) =>
          `${prismConstantMm}${prismConstantWas === null ? '' : msg('papers.was2', { prismConstantWas })} / ${ppm.toFixed(1)}`,
      },
      {
        title: msg('papers.level', { abbreviation }),
        width: 46,
        right: true,
        text: ({ horizontal }) => length(horizontal),
      },
      { title: msg('papers.rise', { abbreviation }), width: 42, right: true, text: ({ rise }) => length(rise) },
      {
        title: msg('papers.usedIn'),
        width: 63,
        text: ({ used, withdrawn }) => (withdrawn === null ? used : msg('papers.withdrawnWith', { withdrawn })),
      },
    ],
    book.sights,
    ({ withdrawn }) => withdrawn !== null,
  );
  if (book.proofs.length > 0) {
    y = heading(pen, y, msg('common.proofs'));
    for (const { at, on, plan, height, figures, withdrawn } of book.proofs) {
      const measured = proofFigureWords(figures, unit, axes);
      y = line(
        pen,
        y,
        msg('papers.planHeight', {
          time: clock.time(at),
          on,
          proofOutcome: proofOutcomeWords()[plan],
          proofOutcome2: proofOutcomeWords()[height],
          measured: measured && `; ${measured}`,
          withdrawn: withdrawn ? '; withdrawn' : '',
        }),
        plan === 'outside' || height === 'outside' ? INKS.brick : INKS.ink,
      );
    }
  }
  if (book.marks.length > 0) {
    y = heading(pen, y, msg('papers.marksOffInMm', { abbreviation }));
    y = await table(
      pen,
      y,
      [
        { title: msg('common.at'), width: 34, text: ({ at }) => clock.time(at) },
        { title: msg('common.mark'), width: 100, text: ({ name }) => name },
        { title: msg('papers.package'), width: 120, text: (mark) => mark.package },
        { title: msg('common.state'), width: 56, text: ({ state }) => state },
        {
          title: 'E / N off',
          width: 64,
          right: true,
          text: ({ dEMm, dNMm }) => `${formatSigned(dEMm, 0)} / ${formatSigned(dNMm, 0)}`,
        },
        { title: msg('common.hub'), width: 50, right: true, text: ({ hubZ }) => length(hubZ) },
        { title: 'Cut / fill', width: 60, right: true, text: ({ cutFill }) => cutFillWords(cutFill, unit) },
        { title: msg('papers.standing'), width: 43, text: ({ standing }) => standing },
      ],
      book.marks,
    );
  }
  if (book.measured.length > 0) {
    y = heading(pen, y, msg('papers.sightedAgainDirectionsAndThingsAsThey'));
    for (const { at, by, text } of book.measured) y = line(pen, y, `${clock.time(at)}  ${by}: ${text}`);
  }
  if (book.corrections.length > 0) {
    y = heading(pen, y, msg('papers.putRightOrTakenBackLater'));
    for (const { at, by, text } of book.corrections)
      y = line(pen, y, `${clock.day(at)} ${clock.time(at)}  ${by}: ${text}`, INKS.brick);
  }
  if (book.remarks.length > 0) {
    y = heading(pen, y, msg('common.remarks'));
    for (const { at, by, text } of book.remarks) y = line(pen, y, `${clock.time(at)}  ${by}: ${text}`);
  }
  if (book.photos.length > 0)
    y = drawPhotos(
      pen,
      book.photos,
      heading(pen, room(page, y, HEADING + PHOTO.height + PHOTO.foot), msg('papers.photos')),
    );
  y = room(page, y + 10, SKETCH_HEIGHT);
  page
    .rect(MARGIN, y, widthOf(page), SKETCH_HEIGHT - 10)
    .lineWidth(0.75)
    .strokeColor(INKS.ink)
    .stroke();
  write(page, msg('common.sketch'), MARGIN + 6, y + 5, 'regular', 8, INKS.ink2);
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
    else
      write(page, msg('papers.keptButNotInAFormThat'), x, y + 4, 'regular', 7.5, INKS.ink2, {
        width: PHOTO.width,
        lineBreak: true,
      });
    write(
      page,
      `${photo.of}, ${clock.time(photo.at)}${photo.caption ? `: ${photo.caption}` : ''}`,
      x,
      y + PHOTO.height + 2,
      'regular',
      7.5,
      INKS.ink2,
      {
        width: PHOTO.width,
        lineBreak: true,
      },
    );
  }
  return y + PHOTO.height + PHOTO.foot;
}

const fitText = (fit: SetupBook['fits'][number] | undefined, small: Pen['small']): string =>
  fit ? `${small(fit.dEMm)} / ${small(fit.dNMm)} / ${small(fit.dZMm)}` : '–';
const usedText = (fit: SetupBook['fits'][number] | undefined): string =>
  fit ? [fit.plan && 'plan', fit.height && 'height'].filter(Boolean).join(', ') || 'nothing' : msg('papers.notUsed');
