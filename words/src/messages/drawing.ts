/** Messages of drawing. */
export const drawing = {
  degreesNotMetres:
    'Its places are longitudes and latitudes in degrees: nothing can be set out on them. Have it sent in the coordinates of the site.',
  unitUnknown: 'Its coordinate system ({text}) is in a unit that isn’t read here: have it sent in meters or feet.',
  unitAssumed: 'The file names no coordinate system: its figures can be no degrees, and are taken as meters.',
  on: '{count} {what} on {layer}',
  more: '{more} more',
  thisIsNothingThatADesignCan:
    'No design can be read from this: {detail}. Use a DXF drawing, LandXML, GeoJSON or a list of points.',
  thisDrawingIsInBinaryDxfSave: 'This drawing is in binary DXF: save it as text (ASCII) DXF and take that.',
  thisIsADwgDrawingWhichOnly:
    'This is a DWG drawing, which only the program that made it can read: save it as text (ASCII) DXF and take that.',
  theDrawingEndsInTheMiddleAfter:
    'The drawing stops in the middle, after {elements, plural, one {# element} other {# elements}}: it was cut off in transit. Get it again; nothing was imported.',
  thereAreNoLinesArcsCirclesOr: 'There are no lines, arcs, circles or points in this drawing.',
  thereIsNothingInThisDrawingTo: 'There is nothing in this drawing to set out from; it holds only {leftOut}.',
  rowPutItRightInTheFile: 'Row {row} {detail}. Correct it in the file; nothing was imported.',
  aGridNeedsAtLeastTwoLines: 'A grid needs at least two lines each way; {lines} are on this layer.',
  theLinesOfThisLayerRunIn: 'The lines of this layer run in {directions} directions; a grid has two.',
  surfaceHasTrianglesThatLieOverOne:
    'Surface “{surface}” has {count} triangles that lie over one another, first {first} and {first2} of the file, at {place}: there it has two elevations, and either may be given. Ask who made it before elevations are taken from it.',
  itLiesFarFromTheControlOf:
    'It is far from the control of this site; read in {unit}, it would fit. Which unit is it in?',
  itLiesFarFromTheControlOf2:
    'It is far from the control of this site; with east and north swapped it would fit. Ask who wrote the file.',
  itLiesFromTheControlOfThis:
    'It lies {length} {unitAbbreviation} from the control of this site: are these its coordinates?',
  feetOfTwoKinds:
    'The file’s unit is taken as {feet}; this site is in {siteFeet}. Here the two differ by up to {length} {unit}: choose the one that the file was written in.',
  bringItByPairs: 'One with its own is brought here by pairs of points.',
} as const;
