import { once } from 'node:events';
import { readFileSync, readdirSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { SMTPServer } from 'smtp-server';

/** A mail server on loopback, and the letters that it took. */
export class MailServer {
  private readonly taken: { readonly to: string; readonly text: string }[] = [];

  private constructor(
    private readonly server: SMTPServer,
    readonly url: string,
  ) {}

  static async start(): Promise<MailServer> {
    const taken: { to: string; text: string }[] = [];
    const server = new SMTPServer({
      authOptional: true,
      disabledCommands: ['STARTTLS', 'AUTH'],
      onData: (stream, session, done) => {
        const chunks: Buffer[] = [];
        stream.on('data', (chunk: Buffer) => chunks.push(chunk));
        stream.on('end', () => {
          taken.push({ to: session.envelope.rcptTo[0]!.address, text: Buffer.concat(chunks).toString() });
          done();
        });
      },
    });
    const listening = once(server.server, 'listening');
    server.listen(0, '127.0.0.1');
    await listening;
    const mail = new MailServer(server, `smtp://127.0.0.1:${(server.server.address() as AddressInfo).port}`);
    Object.assign(mail, { taken });
    return mail;
  }

  /** The link in the newest letter to somebody that has a text in it, once it has come. */
  async linkTo(to: string, text: string): Promise<string> {
    for (;;) {
      const letter = this.taken.findLast((l) => l.to === to && l.text.includes(text));
      const said = letter?.text.replace(/=\r?\n/g, '').replace(/=3D/g, '=');
      const link = said && /https?:\/\/\S+#[\w-]+/.exec(said)?.[0];
      if (link) return link;
      await pause(50);
    }
  }

  stop(): Promise<void> {
    return new Promise((resolve) => this.server.close(resolve));
  }
}

/** The link in the newest letter to somebody that waits, as whoever runs the server finds it beside the data. */
export const keptLink = (folder: string, email: string): string => {
  const outbox = join(folder, 'outbox');
  for (const name of readdirSync(outbox).sort().reverse()) {
    const text = readFileSync(join(outbox, name), 'utf8');
    if (!text.includes(`To: ${email}`)) continue;
    return /https?:\/\/\S+/.exec(Buffer.from(text.split('\r\n\r\n')[1]!, 'base64').toString())![0];
  }
  throw new Error(`no letter to ${email} waits`);
};
