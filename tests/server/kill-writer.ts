/** Writes cold readings without pause, and says each one's number once it is acknowledged. Ends by being killed. */
import { writeSync } from 'node:fs';
import { openTestHouse } from './house.ts';

const [file, round] = process.argv.slice(2);
const house = openTestHouse(file!);
for (let count = 0; ; count++) {
  const answer = house.act(
    'read-cold',
    { piece: 'ARC-0309-1-A', reading: '2 C' },
    { key: `${round}-${process.pid}-${count}` }
  );
  if (answer.ok) writeSync(1, `${answer.seq}\n`);
}
