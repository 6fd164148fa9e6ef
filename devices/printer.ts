/**
 * A simulated label printer: takes print jobs over TCP and keeps what it printed as files. A job is one line,
 * `PRINT <name> <bytes>`, then so many bytes of PDF; it answers `OK <file>` or `NO <why>`. See docs/devices/printer.md.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { createServer, type Socket } from 'node:net';
import { join } from 'node:path';

const MOST_BYTES = 20_000_000;

/** Reads jobs off one connection. */
function takeJobs(socket: Socket, onJob: (name: string, content: Buffer) => string): void {
  let waiting = Buffer.alloc(0);
  let job: { name: string; bytes: number } | null = null;
  socket.on('error', () => socket.destroy());
  socket.on('data', (chunk: Buffer) => {
    waiting = Buffer.concat([waiting, chunk]);
    for (;;) {
      if (!job) {
        const end = waiting.indexOf(10);
        if (end < 0) {
          if (waiting.length > 500) socket.destroy();
          return;
        }
        const found = /^PRINT ([A-Za-z0-9._-]{1,80}) (\d{1,9})$/.exec(
          waiting.subarray(0, end).toString('latin1').trim()
        );
        waiting = waiting.subarray(end + 1);
        if (!found || Number(found[2]) > MOST_BYTES) {
          socket.end('NO a job is PRINT name bytes\n');
          return;
        }
        job = { name: found[1]!, bytes: Number(found[2]) };
      }
      if (waiting.length < job.bytes) return;
      const content = waiting.subarray(0, job.bytes);
      waiting = waiting.subarray(job.bytes);
      const isPdf = content.subarray(0, 5).toString('latin1') === '%PDF-';
      socket.write(isPdf ? `OK ${onJob(job.name, Buffer.from(content))}\n` : 'NO that is no PDF\n');
      job = null;
    }
  });
}

/** Runs the printer until the process ends; what it prints lies in the folder, numbered. */
export async function runPrinter(port: number, folder: string, say: (text: string) => void): Promise<() => void> {
  mkdirSync(folder, { recursive: true });
  const connected = new Set<Socket>();
  let printed = 0;
  const server = createServer((socket) => {
    connected.add(socket);
    socket.on('close', () => connected.delete(socket));
    takeJobs(socket, (name, content) => {
      const file = `${String(++printed).padStart(4, '0')}-${name}.pdf`;
      writeFileSync(join(folder, file), content);
      say(`printed ${file}`);
      return file;
    });
  });
  const bound = await new Promise<number>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => resolve((server.address() as { port: number }).port));
  });
  say(`label printer at 127.0.0.1:${bound}, keeping what it prints in ${folder}`);
  return () => {
    for (const socket of connected) socket.destroy();
    server.close();
  };
}
