import type { Concern } from '@idle-marker/records';
import { concernWords } from '@idle-marker/words';

/** A concern about a control mark, with the name of the mark. */
export const concernText = ({ mark, ...concern }: Concern): { readonly title: string; readonly text: string } =>
  concernWords({ ...concern, name: mark.revision.body.name });
