/** What is asked of files that hold lists, and what comes back: the same in a worker and without one. */
import type { LengthUnit, Result } from '@idle-marker/core';
import { listHead, readControlBytes, readLandXmlSurvey } from '@idle-marker/formats';
import type {
  ControlList,
  FileIssue,
  LandXmlFault,
  ListHead,
  ListSaid,
  SurveyRead,
  TextError,
} from '@idle-marker/formats';

interface Questions {
  control: {
    ask: {
      readonly bytes: Uint8Array;
      readonly unit: LengthUnit;
      readonly xIsNorth: boolean;
      readonly said: ListSaid;
    };
    answer: {
      readonly list: Result<ControlList, FileIssue | TextError>;
      /** How it begins; null for what is no table of text. */
      readonly head: ListHead | null;
    };
  };
  survey: { ask: { readonly text: string }; answer: Result<SurveyRead, LandXmlFault> };
}

export type ListQuestion = keyof Questions;
export type ListAskOf<Q extends ListQuestion> = Questions[Q]['ask'];
export type ListAnswerOf<Q extends ListQuestion> = Questions[Q]['answer'];
export type ListAsk = {
  [Q in ListQuestion]: { readonly id: number; readonly question: Q; readonly ask: ListAskOf<Q> };
}[ListQuestion];
export interface ListTold {
  readonly id: number;
  readonly answer: ListAnswerOf<ListQuestion>;
}

export function answerList(asked: ListAsk, tell: (told: ListTold) => void): void {
  tell({
    id: asked.id,
    answer: asked.question === 'control' ? controlOf(asked.ask) : readLandXmlSurvey(asked.ask.text),
  });
}

function controlOf({ bytes, unit, xIsNorth, said }: ListAskOf<'control'>): ListAnswerOf<'control'> {
  return { list: readControlBytes(bytes, { unit, xIsNorth, said }), head: listHead(bytes) };
}
