/**
 * Sends a paper: as a file, or to whoever asks for lines of JSON how far it is along, and the file in the last of them.
 * Who has left is not written for any longer.
 */
import { setImmediate as turn } from 'node:timers/promises';
import type { Request, Response } from 'express';
import type { Progress } from '@idle-marker/press';
import { msg } from '@idle-marker/words';

export interface Paper {
  readonly name: string;
  readonly type: string;
  make(progress: Progress): Promise<Buffer | string>;
}

export const PROGRESS_TYPE = 'application/x-ndjson';

class HasLeft extends Error {}

export async function sendPaper(request: Request, response: Response, paper: Paper): Promise<void> {
  const tells = request.accepts(['application/octet-stream', PROGRESS_TYPE]) === PROGRESS_TYPE;
  let gone = false;
  response.on('close', () => (gone = true));
  const progress: Progress = async (done, of) => {
    if (tells) response.write(`${JSON.stringify({ done, of })}\n`);
    // Others get their turn, and the line goes out.
    await turn();
    if (gone) throw new HasLeft();
  };
  try {
    if (tells) response.type(PROGRESS_TYPE);
    const bytes = Buffer.from(await paper.make(progress));
    if (tells)
      response.end(`${JSON.stringify({ name: paper.name, type: paper.type, file: bytes.toString('base64') })}\n`);
    else {
      response.setHeader('Content-Disposition', `attachment; filename="${paper.name}"`);
      response.type(paper.type).send(bytes);
    }
  } catch (error) {
    if (error instanceof HasLeft) return;
    if (!tells || !response.headersSent) throw error;
    response.end(
      `${JSON.stringify({ problem: error instanceof Error ? error.message : msg('answers.itCouldNotBeWritten') })}\n`,
    );
  }
}
