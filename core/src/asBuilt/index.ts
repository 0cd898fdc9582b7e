/** What was built against what was designed: faces and patterns. */
export { faceAgainstLine, type FaceResult, type FaceShot } from './face.ts';
export { fitPattern, type PatternFit } from './pattern.ts';
