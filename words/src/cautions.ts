import { msg, worded } from './message.ts';
/** What every sheet and the crew are told, whatever the figures say. */
/** What stands at the foot of every control report. */
export const reportCautions = worded((): readonly string[] => [
  msg('cautions.allTradesShouldBuildOnTheSame'),
  msg('cautions.aMarkIsTrustedForPlanFor'),
  msg('cautions.whoeverFindsAMarkHitCoveredOr'),
]);

export const allCautions = worded((): readonly string[] => [
  msg('cautions.haveBuriedServicesLocatedBeforeDigging'),
  msg('cautions.ifAHubIsLeaningLowOr'),
  msg('cautions.mindTrafficAndPlantOpenEdgesAnd'),
  msg('cautions.structuralTolerancesAreTheEngineers'),
  msg('cautions.localCodesAndTheSitesRulesCome'),
]);
