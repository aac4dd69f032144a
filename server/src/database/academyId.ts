/** The academy a request acts in: taken from the session only, never from what a client sends. Every repository asks for it first. */
export type AcademyId = string & { readonly __academy: true };
