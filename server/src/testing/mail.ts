import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { SMTPServer, type SMTPServerDataStream } from 'smtp-server';

/** How a mail server behaves: takes letters, says no for good or for now, says nothing for a while, or hangs up in the middle of a letter. */
export type Mood = 'takes' | 'refuses' | 'later' | 'slow' | 'cuts off';

/** A mail server on loopback that keeps what it took. */
export class MailServer {
  mood: Mood = 'takes';
  readonly taken: { readonly to: string; readonly text: string }[] = [];
  /** Conversations that came as far as a letter. */
  tried = 0;

  private constructor(
    private readonly server: SMTPServer,
    readonly url: string,
  ) {}

  static async start(): Promise<MailServer> {
    const holder: { mail?: MailServer } = {};
    const server = new SMTPServer({
      authOptional: true,
      disabledCommands: ['STARTTLS', 'AUTH'],
      // what goes wrong here is meant to
      logger: false,
      onRcptTo: ({ address }, _session, done) => {
        const { mood } = holder.mail!;
        if (mood !== 'refuses' && mood !== 'later') return done();
        const no = Object.assign(new Error(`${address} is not wanted`), { responseCode: mood === 'later' ? 451 : 550 });
        holder.mail!.tried++;
        done(no);
      },
      onData: (stream, session, done) => holder.mail!.receive(stream, session.envelope.rcptTo[0]!.address, done),
    });
    server.on('error', () => undefined);
    const listening = once(server.server, 'listening');
    server.listen(0, '127.0.0.1');
    await listening;
    const { port } = server.server.address() as AddressInfo;
    holder.mail = new MailServer(server, `smtp://127.0.0.1:${port}`);
    return holder.mail;
  }

  private receive(stream: SMTPServerDataStream, to: string, done: (error?: Error) => void): void {
    this.tried++;
    const { mood } = this;
    if (mood === 'cuts off') {
      for (const connection of this.server.connections)
        (connection as unknown as { _socket: { destroy(): void } })._socket.destroy();
      stream.resume();
      return;
    }
    const chunks: Buffer[] = [];
    stream.on('data', (chunk: Buffer) => chunks.push(chunk));
    stream.on('end', () => {
      if (mood === 'slow') return;
      this.taken.push({ to, text: Buffer.concat(chunks).toString() });
      done();
    });
  }

  /** What the newest letter to somebody says. */
  letterTo(to: string): string {
    const text = this.taken.findLast((letter) => letter.to === to)!.text;
    const [head, ...body] = text.split('\r\n\r\n');
    const said = body.join('\r\n\r\n');
    if (/base64/i.test(head!)) return Buffer.from(said, 'base64').toString();
    return /quoted-printable/i.test(head!)
      ? said
          .replace(/=\r?\n/g, '')
          .replace(/=([0-9A-F]{2})/g, (_, hex: string) => String.fromCharCode(parseInt(hex, 16)))
      : said;
  }

  stop(): Promise<void> {
    return new Promise((resolve) => {
      for (const connection of this.server.connections)
        (connection as unknown as { _socket: { destroy(): void } })._socket.destroy();
      this.server.close(resolve);
    });
  }
}
