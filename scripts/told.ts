import { EmberError } from '../src/lib/core/errors.ts';
import { storeTrouble } from '../src/lib/server/store/open.ts';
import { errorSentence } from '../src/lib/words/errors.ts';

/** Runs a tool's work; what it is refused for is said in a sentence, and ends it with 1. */
export async function told(work: () => Promise<void> | void): Promise<void> {
  try {
    await work();
  } catch (thrown) {
    const error = storeTrouble(thrown);
    if (!(error instanceof EmberError)) throw error;
    console.error(errorSentence(error.code, error.details));
    process.exitCode = 1;
  }
}
