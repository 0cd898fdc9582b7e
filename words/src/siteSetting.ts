import { msg, worded } from './message.ts';
/** Settings of a site, as the book says which of them were changed. */
export const siteSettingWords = worded(
  () =>
    ({
      name: 'name',
      lengthUnit: msg('siteSetting.unitOfLength'),
      angleUnit: msg('siteSetting.unitOfAngles'),
      axisOrder: msg('siteSetting.orderOfCoordinates'),
      siteZero: msg('siteSetting.siteZero'),
      coordinateSystem: msg('siteSetting.coordinateSystem'),
      heightDatum: msg('siteSetting.whatHeightsAreCountedFrom'),
      combinedScaleFactor: msg('siteSetting.scaleFactor'),
      proofIntervalMinutes: msg('siteSetting.timeBetweenProofs'),
      classes: msg('siteSetting.classesOfWorkAndTheirTolerances'),
      convention: msg('siteSetting.howStakesAreWritten'),
      practiceGround: msg('siteSetting.practiceGround'),
      paint: msg('siteSetting.coloursOfPaint'),
      surveyor: msg('siteSetting.whoSetTheControl'),
      roles: msg('siteSetting.whatPeopleAreHere'),
      numbers: msg('siteSetting.whereNumbersBegin'),
      alongWord: msg('siteSetting.whatAPlaceAlongALineIs'),
      stationFormat: msg('siteSetting.howStationsAreWritten'),
      paper: msg('siteSetting.paperOfThePrinter'),
      wording: msg('siteSetting.wording'),
      publicAddress: msg('siteSetting.addressOfTheCrewsPages'),
      mayAccept: msg('siteSetting.whoMayAcceptAStation'),
    }) as const,
);
