import { database, dataFolder } from '#server/database';
import { listPlaces, moveMedia } from '#server/media/move';
import { mediaStores } from '#server/media/places';
import { sayStartTrouble } from './start-trouble';

/** Exit codes: what was said is none of the two; a store or the data folder does not answer; something is lost. */
const BAD_INPUT = 1;
const NOT_READY = 2;
const LOST = 3;
const MEGABYTE = 1024 * 1024;
const TOLD_EVERY = 100;

// npm run media: where stills and recordings lie. npm run media -- move: brings them to where new ones go.
process.umask(0o077);
const said = process.argv[2];
if (said !== undefined && said !== 'move') {
  console.error(`Expected nothing or “move”, got “${said}”. Run: npm run media -- move`);
  process.exit(BAD_INPUT);
}
const sayPlace = (place: string) => place || dataFolder();
try {
  const stores = mediaStores();
  if (said === 'move') {
    const { contents, lost } = await moveMedia(database(), stores, (done, of) => {
      if (done % TOLD_EVERY === 0 || done === of) console.log(`${done} of ${of}`);
    });
    console.log(`${contents} moved to ${sayPlace(stores.current)}`);
    for (const { sha256, place } of lost)
      console.error(`not to be had, or not what it was: ${sha256} in ${sayPlace(place)}`);
    if (lost.length > 0) process.exitCode = LOST;
  }
  for (const { place, contents, bytes } of listPlaces(database()))
    console.log(`${sayPlace(place)}: ${contents} contents, ${Math.ceil(bytes / MEGABYTE)} MB`);
  console.log(`New ones go to ${sayPlace(stores.current)}`);
  database().close();
} catch (error) {
  console.error(sayStartTrouble(dataFolder(), error));
  process.exit(NOT_READY);
}
