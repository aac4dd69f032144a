/** Why a file is not taken in, or what of it cannot be used. */
export type FileFault =
  | { readonly code: 'empty' }
  /** A list that points at other files or addresses. */
  | { readonly code: 'playlist' }
  | { readonly code: 'unknown-kind' }
  /** Cut off before its index, which stands at its end. */
  | { readonly code: 'index-missing' }
  | { readonly code: 'damaged' }
  /** Encrypted, by whoever published it. */
  | { readonly code: 'locked' }
  | { readonly code: 'no-picture'; readonly facts: { readonly has: 'sound' | 'data' } }
  | { readonly code: 'unread-codec'; readonly facts: { readonly codec: string } }
  /** None of its first pictures can be decoded. */
  | { readonly code: 'undecodable'; readonly facts: { readonly codec: string } }
  | {
      readonly code: 'picture-too-large';
      readonly facts: { readonly width: number; readonly height: number; readonly mostPixels: number };
    }
  | { readonly code: 'too-long'; readonly facts: { readonly mostHours: number } }
  | { readonly code: 'too-many-frames'; readonly facts: { readonly most: number } };

/** What a program was doing with a file. */
export type Task = 'proxy' | 'look' | 'strip' | 'sound' | 'cut' | 'join' | 'read' | 'film';

/** Why an upload or a job came to nothing. */
export type Fault =
  | FileFault
  | { readonly code: 'took-too-long'; readonly facts: { readonly task: Task } }
  | { readonly code: 'tool-failed'; readonly facts: { readonly task: Task } }
  | { readonly code: 'disk-full' }
  | { readonly code: 'no-room'; readonly facts: { readonly freeBytes: number; readonly neededBytes: number } }
  | { readonly code: 'quota'; readonly facts: { readonly mostBytes: number; readonly usedBytes: number } }
  | { readonly code: 'given-up'; readonly facts: { readonly times: number } }
  | { readonly code: 'gone' }
  | { readonly code: 'not-whole'; readonly facts: { readonly bytes: number; readonly ofBytes: number } }
  | { readonly code: 'hash-differs' }
  /** Nobody of the academy answers for what its inbox takes in. */
  | { readonly code: 'nobody' }
  /** Its times turn out to be wrong, and clips stand on them. */
  | { readonly code: 'times-in-use' }
  | { readonly code: 'nothing-to-cut' }
  /** What was cut does not hold just the frames that were asked for. */
  | { readonly code: 'cut-inexact'; readonly facts: { readonly frames: number; readonly ofFrames: number } }
  | { readonly code: 'sound-inexact'; readonly facts: { readonly seconds: number; readonly ofSeconds: number } }
  /** For a reason that lies with the product. */
  | { readonly code: 'unexpected' };
