/** Messages of cautions. */
export const cautions = {
  allTradesShouldBuildOnTheSame:
    'All trades should use the same control. Don’t use marks listed as lost, disagreeing or left out until they are reset or resurveyed.',
  aMarkIsTrustedForPlanFor:
    'A mark is good for plan, elevation or both, as the table says. Don’t use an elevation that isn’t marked good.',
  whoeverFindsAMarkHitCoveredOr:
    'Report a mark that is hit, covered or moved the same day, so that everything set from it can be rechecked.',
  haveBuriedServicesLocatedBeforeDigging: 'Have buried services located before digging or driving anything.',
  ifAHubIsLeaningLowOr: 'If a hub is leaning, low or gone, don’t guess: report it.',
  mindTrafficAndPlantOpenEdgesAnd: 'Mind traffic and plant, open edges, and overhead lines with a metal pole or rod.',
  structuralTolerancesAreTheEngineers:
    'Structural tolerances come from the engineer’s documents; boundaries belong to a licensed surveyor.',
  localCodesAndTheSitesRulesCome: 'Local codes and the site’s rules come before anything printed here.',
} as const;
