import { createHash } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { connect, createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

export interface FolderLock {
  release: () => Promise<void>;
}

/**
 * Holds a data folder for this process alone. PGlite has no lock of its own, and two processes on
 * one folder lose rows that were acknowledged. The lock is a listening socket, so it dies with its
 * owner however that ends; a socket file nobody answers on is stale and taken over.
 * Throws an Error with a sentence for the person when another process holds the folder.
 */
export async function lockFolder(folder: string): Promise<FolderLock> {
  const address = socketAddress(folder);
  for (let attempt = 0; attempt < 3; attempt++) {
    const server = await listen(address);
    if (server) {
      server.unref();
      return { release: () => new Promise((resolve) => server.close(() => resolve())) };
    }
    if (await answers(address)) break;
    await rm(address, { force: true });
  }
  throw new Error(
    `Another Bold Prism is already using ${folder}. Close that one first, or give this one a folder of its own with PRISM_DATA.`,
  );
}

/** Socket paths are short by law of the system (about 100 bytes), so a deep folder is known by its hash. */
function socketAddress(folder: string): string {
  const id = createHash('sha256').update(path.resolve(folder)).digest('hex').slice(0, 20);
  return process.platform === 'win32'
    ? `\\\\.\\pipe\\bold-prism-${id}`
    : path.join(tmpdir(), `bold-prism-${id}.sock`);
}

/** A listening server, or null when the address is taken. */
function listen(address: string): Promise<Server | null> {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.end());
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' ? resolve(null) : reject(error),
    );
    server.listen(address, () => resolve(server));
  });
}

function answers(address: string): Promise<boolean> {
  return new Promise((resolve) => {
    const socket = connect(address);
    socket.once('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => resolve(false));
  });
}
