import type { BritishOf } from './britishOf.ts';
import type { equipmentWords as whole } from '../equipmentWords.ts';

export const equipmentWords: BritishOf<typeof whole> = {
  forHubsAndControlLowOnThe:
    'For pegs and control: low on the pole a lean does little. Without a pole it can stand on the thing itself.',
  aTargetOnAWallHasNo: 'A target on a wall has no pole: its centre is the point, the target height is zero.',
  tipOfThePoleToTheCentre:
    'Tip of the pole to the centre of the prism: the pole’s mark, and what the prism adds above it.',
  thatIsTheLastHeightInAnother:
    'That is the last height in another unit: feet for metres, or the reverse. Meant is probably {length}.',
  centreOfTheTribrach: 'centre of the tribrach',
};
