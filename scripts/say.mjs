// Words for the person at the terminal, and the one way out with an error.

/** A reason to stop that is said in one sentence, without a stack. */
export class Stop extends Error {}

export const note = (text) => process.stdout.write(`${text}\n`);

/** What is being done meanwhile: apart from what a script puts out. */
export const aside = (text) => process.stderr.write(`${text}\n`);

/** Runs a script's main function; a Stop becomes one sentence and exit code 1, a bug keeps its stack. */
export const main = (work) =>
  work().catch((error) => {
    process.stderr.write(`${error instanceof Stop ? error.message : error.stack}\n`);
    process.exitCode = 1;
  });
