import type { BritishOf } from './britishOf.ts';
import type { equipment as whole } from '../equipment.ts';

export const equipment: BritishOf<typeof whole> = {
  centreAboveThePolesMark: 'Prism centre above pole mark',
  toMeasureItStandThePoleOn:
    'To measure it: stand the pole on one mark with both devices, and read the receiver’s height and the instrument’s a few times each. What they differ by, beyond their precisions, is in this figure, in a level that was entered, or in the calibration.',
  centreAboveThePolesMark2: 'centre {length} {unit} above the pole’s mark',
  receiverAboveThePrismsCentre: 'receiver {receiver}, {length} {unit} above the prism’s centre',
  millimetresOver0: 'Millimetres, over 0.',
  micrometresFrom03To2Such: 'Micrometres, from 0.3 to 2: such as 0.658.',
  millimetresFrom500To500: 'Millimetres, from −500 to 500.',
  howFarItsCentreSitsAboveThe: 'How far its centre sits above the mark of the pole; 0 when the mark counts it in.',
  fromThePrismsCentreUpToThe:
    'From the prism’s centre up to the receiver’s reference point: its data sheet and the adapter’s say it.',
};
