/** Messages of cautions. */
export const cautions = {
  allTradesShouldBuildOnTheSame:
    'All trades should build on the same marks. Marks that are called lost, disagreeing or left out are not to be used until they are set or surveyed anew.',
  aMarkIsTrustedForPlanFor:
    'A mark is trusted for plan, for height or for both, as the table says; a height that is not trusted is not a height.',
  whoeverFindsAMarkHitCoveredOr:
    'Whoever finds a mark hit, covered or moved tells it the same day: what was set from it is looked at again.',
  haveBuriedServicesLocatedBeforeDigging: 'Have buried services located before digging or driving anything.',
  ifAHubIsLeaningLowOr: 'If a hub is leaning, low or gone, do not guess: report it.',
  mindTrafficAndPlantOpenEdgesAnd: 'Mind traffic and plant, open edges, and overhead lines with a metal pole or rod.',
  structuralTolerancesAreTheEngineers:
    'Structural tolerances are the engineer’s documents; boundaries belong to a licensed surveyor.',
  localCodesAndTheSitesRulesCome: 'Local codes and the site’s rules come before anything printed here.',
} as const;
