import { alignEnvelopes, type Alignment, type Envelope } from '@odograph/core';
import { expose } from 'comlink';

export type AlignWorker = { readonly align: (first: Envelope, second: Envelope) => Alignment | undefined };
expose({ align: alignEnvelopes } satisfies AlignWorker);
