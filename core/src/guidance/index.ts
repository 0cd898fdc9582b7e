/** The move from where the pole is to where the mark goes. */
export { stake, type StakeResult } from './stake.ts';
export {
  asideOf,
  type Aside,
  evenGraduation,
  graduation,
  holds,
  isCloseUp,
  isPastEdge,
  moveFor,
  moveGrade,
  TAPE_UNDER,
  tapeAdvised,
  VIEWPOINTS,
  WALK_FROM,
  type Move,
  type MoveGrade,
  type MoveInput,
  type Viewpoint,
} from './viewpoint.ts';
