export {
  INKS,
  POINTS_PER_METRE,
  type Ink,
  type Layer,
  type Measure,
  type Scene,
  type SceneItem,
  type ScenePath,
  type SceneText,
  type Weight,
} from './scene.ts';
export { sceneSvg } from './svg.ts';
export { sceneDxf, type DxfMark } from './dxf.ts';
export {
  boardFor,
  fitted,
  north,
  PAPERS,
  planItems,
  scaleBar,
  scaleWords,
  SKETCH_OPTIONS,
  sketchScene,
  type Paper,
  type SketchOptions,
  type SketchResult,
} from './sketch.ts';
export { planScene, READING_HEIGHT, READING_WIDTH, sectionScene, type ReadingDrawn } from './readingScene.ts';
export { placeLabel, Taken } from './labels.ts';
export { fileWord } from './fileWord.ts';
