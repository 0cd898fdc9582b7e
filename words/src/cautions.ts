import { msg } from './message.ts';
/** What every sheet and the crew are told, whatever the figures say. */
/** What stands at the foot of every control report. */
export const REPORT_CAUTIONS: readonly string[] = [
  msg('cautions.allTradesShouldBuildOnTheSame'),
  msg('cautions.aMarkIsTrustedForPlanFor'),
  msg('cautions.whoeverFindsAMarkHitCoveredOr'),
];

export const CAUTIONS: readonly string[] = [
  msg('cautions.haveBuriedServicesLocatedBeforeDigging'),
  msg('cautions.ifAHubIsLeaningLowOr'),
  msg('cautions.mindTrafficAndPlantOpenEdgesAnd'),
  msg('cautions.structuralTolerancesAreTheEngineers'),
  msg('cautions.localCodesAndTheSitesRulesCome'),
];
