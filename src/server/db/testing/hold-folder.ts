/** A process that tries to lock the folder it is given when it reads a line, and holds it until it is ended. */
import { createInterface } from 'node:readline';
import { lockFolder } from '../folder-lock';

console.log('ready');
createInterface({ input: process.stdin }).once('line', () => {
  lockFolder(process.argv[2]).then(
    () => console.log('held'),
    () => console.log('refused'),
  );
});
