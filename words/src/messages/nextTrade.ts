/** Messages of nextTrade. */
export const nextTrade = {
  dig: 'Dig',
  diggingToDepth: 'digging to depth',
  theMachineTakesWhatStandsNearHubs:
    'The machine takes out whatever is close: put hubs beyond the edge of the excavation and its slope, laths visible from the seat, cut to the hundredth.',
  setForms: 'Set forms',
  settingForms: 'setting forms',
  formsAreSetFromANailWith:
    'Forms are set from a nail with tape and level: a hub out of the way of the braces, the offset to the face that the board stands on.',
  laser: 'Laser',
  settingUpALaserForHeights: 'setting up a laser for elevations',
  aLaserWantsFewHeightsAndFirm:
    'A laser wants few elevations and firm ones: a nail where nobody drives, all to one reference, and its elevation as it was read.',
  steelOrWalls: 'Steel or walls',
  placingSteelOrWallsOnTheSlab: 'placing steel or walls on the slab',
  linesAndCrossesOnTheConcreteItself:
    'Lines and crosses on the concrete itself, so far off that they are still seen beside the plate or the sill.',
  paving: 'Paving',
  aStringLineForPaving: 'a string line for paving',
  aStringIsPulledFromHubTo:
    'A string is pulled from hub to hub: closer on curves and crests, all on one side and at one offset.',
} as const;
