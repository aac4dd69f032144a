/** Why the server cannot start, in a sentence for whoever starts it. Nothing was changed. */
export class StartFault extends Error {}
