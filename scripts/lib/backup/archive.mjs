import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { z } from 'zod';
import { Stop } from '../stop.mjs';

/**
 * A backup is a ZIP archive of plain data: `TABLE.copy` for each table, in PostgreSQL's text format, and `manifest.json`, which
 * says what is in it. Nothing in it is ever run: the tables themselves are made by the migrations of this version.
 */
export const FORMAT = 'nemrik-backup';
const MANIFEST = 'manifest.json';
const LARGEST_MANIFEST = 1_000_000;
const MOST_TABLES = 60;

const name = z.string().regex(/^[a-z][a-z0-9_]{0,62}$/);
const hash = z.string().regex(/^[0-9a-f]{64}$/);
const manifestSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(1),
  /** version of the application that wrote it */
  app: z.string().max(40),
  made: z.iso.datetime(),
  demo: z.boolean(),
  /** the changes to the tables that were made when it was written, in their order */
  migrations: z.array(z.string().regex(/^[0-9]{4}_[a-z0-9_]{1,80}$/)).max(2000),
  tables: z
    .array(
      z.strictObject({
        name,
        columns: z.array(name).min(1).max(200),
        rows: z.int().min(0),
        /** over all rows, as the database that was backed up had them */
        digest: z.string().regex(/^[0-9a-f]{32}$|^$/),
        bytes: z.int().min(0),
        sha256: hash
      })
    )
    .min(1)
    .max(MOST_TABLES)
});

/** Counts and hashes what runs through it. */
function measured() {
  const sum = createHash('sha256');
  let bytes = 0;
  const through = new Transform({
    transform(chunk, _, next) {
      sum.update(chunk);
      bytes += chunk.length;
      next(null, chunk);
    }
  });
  return { through, found: () => ({ bytes, sha256: sum.digest('hex') }) };
}

/**
 * Writes an archive that only its owner may read, from its first byte on.
 * @param about the manifest without what is measured while it is written
 * @param open gives the data of a table as a stream; tables are asked for one after the other
 */
export async function writeArchive(file, about, open) {
  const zip = new yazl.ZipFile();
  const written = [];
  const failed = (e) => zip.outputStream.destroy(e);
  zip.on('error', failed);
  for (const table of about.tables)
    zip.addReadStreamLazy(`${table.name}.copy`, (take) => {
      const m = measured();
      const through = pipeline(open(table), m.through);
      through.catch(failed);
      const part = through.then(() => ({ ...table, ...m.found() }));
      // its failure ends the archive, by the line above
      part.catch(() => {});
      written.push(part);
      take(null, m.through);
    });
  // asked for last, when all before it has run through
  zip.addReadStreamLazy(MANIFEST, (take) => take(null, Readable.from(manifestOf(about, written))));
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(file, { mode: 0o600, flags: 'wx' }));
}

async function* manifestOf(about, written) {
  const tables = await Promise.all(written);
  yield JSON.stringify({ format: FORMAT, version: 1, ...about, tables }, null, 1);
}

/**
 * Opens an archive and checks all of it: that it is one of ours, that it holds what its manifest says and nothing else, and
 * every byte by its hash. Throws a Stop in words where it is not.
 * @returns the manifest, the data of a table as a stream, and the end of it
 */
export async function openArchive(file) {
  const no = (why) => new Stop(`${file} is no backup of Nemrik’s: ${why}. Nothing was changed.`);
  const zip = await opened(file).catch((e) => {
    throw no(e.code ? `it cannot be read (${e.code})` : 'it is another kind of file, or cut short');
  });
  try {
    const entries = await entriesOf(zip).catch((e) => {
      throw e instanceof Stop ? e : no('it is damaged');
    });
    const manifest = await manifestIn(zip, entries, no);
    const wanted = new Set([MANIFEST, ...manifest.tables.map((t) => `${t.name}.copy`)]);
    if (wanted.size !== manifest.tables.length + 1 || entries.size !== wanted.size)
      throw no('it holds other files than it says');
    for (const t of manifest.tables) {
      const entry = entries.get(`${t.name}.copy`);
      if (!entry || entry.uncompressedSize !== t.bytes) throw no(`${t.name} is not what it says`);
      const m = measured();
      await pipeline(await stream(zip, entry), m.through.resume()).catch(() => {
        throw no(`${t.name} is damaged`);
      });
      if (m.found().sha256 !== t.sha256) throw no(`${t.name} was changed after it was written`);
    }
    return {
      manifest,
      open: (table) => stream(zip, entries.get(`${table}.copy`)),
      close: () => zip.close()
    };
  } catch (e) {
    zip.close();
    throw e;
  }
}

const opened = (file) =>
  new Promise((done, failed) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (e, zip) => (e ? failed(e) : done(zip)))
  );

const stream = (zip, entry) =>
  new Promise((done, failed) => zip.openReadStream(entry, (e, s) => (e ? failed(e) : done(s))));

function entriesOf(zip) {
  return new Promise((done, failed) => {
    const found = new Map();
    zip.on('error', failed);
    zip.on('end', () => done(found));
    zip.on('entry', (entry) => {
      if (found.size > MOST_TABLES || found.has(entry.fileName)) return failed(new Error('too many files'));
      found.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

async function manifestIn(zip, entries, no) {
  const entry = entries.get(MANIFEST);
  if (!entry || entry.uncompressedSize > LARGEST_MANIFEST) throw no('it has no list of what it holds');
  const chunks = [];
  try {
    for await (const c of await stream(zip, entry)) chunks.push(c);
    return manifestSchema.parse(JSON.parse(Buffer.concat(chunks).toString('utf8')));
  } catch {
    throw no('its list of what it holds cannot be read');
  }
}
