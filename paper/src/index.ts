export {
  INKS,
  POINTS_PER_METRE,
  type Ink,
  type Measure,
  type Scene,
  type SceneItem,
  type ScenePath,
  type SceneText,
  type Weight,
} from './scene.ts';
export { sceneSvg } from './svg.ts';
export { sceneDxf, sketchDxf } from './dxf.ts';
export { boardFor, north, PAPERS, scaleBar, scaleWords, type Paper } from './board.ts';
export { liesUpright, planItems, sketchScene, sketchSteps } from './sketch.ts';
export { fitted } from './fitted.ts';
export { SKETCH_OPTIONS, type SketchOptions } from './sketchOptions.ts';
export { planScene, READING_HEIGHT, READING_WIDTH, sectionScene } from './readingScene.ts';
export { tapeScene } from './tapeScene.ts';
export { placeLabel, Taken } from './labels.ts';
export { fileWord } from './fileWord.ts';
