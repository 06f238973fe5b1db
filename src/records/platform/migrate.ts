import type { Knex } from 'knex';
import type { Db } from './db';
import * as people from './migrations/001_people';
import * as materials from './migrations/002_materials';
import * as pieces from './migrations/003_pieces';
import * as recipes from './migrations/004_recipes';
import * as rounds from './migrations/005_rounds';
import * as firingLog from './migrations/006_firing_log';
import * as opening from './migrations/007_opening';
import * as cases from './migrations/008_cases';
import * as about from './migrations/009_about';
import * as reference from './migrations/010_reference';
import * as clay from './migrations/011_clay';
import * as wallLayers from './migrations/012_wall_layers';
import * as names from './migrations/013_names';
import * as piecesCounted from './migrations/014_pieces_counted';
import * as seenOnly from './migrations/015_seen_only';
import * as photos from './migrations/016_photos';
import * as groups from './migrations/017_people';
import * as studio from './migrations/018_studio';
import * as series from './migrations/019_series';
import * as areas from './migrations/020_areas';
import * as ware from './migrations/021_ware';
import * as sheet from './migrations/022_sheet';
import * as again from './migrations/023_again';
import * as judgement from './migrations/024_judgement';
import * as coneless from './migrations/025_coneless';
import * as notesAbout from './migrations/026_notes_about';
import * as groupOfPiece from './migrations/027_group_of_piece';
import * as measuredAgain from './migrations/028_measured_again';

const MIGRATIONS: Readonly<Record<string, Knex.Migration>> = {
  '001_people': people,
  '002_materials': materials,
  '003_pieces': pieces,
  '004_recipes': recipes,
  '005_rounds': rounds,
  '006_firing_log': firingLog,
  '007_opening': opening,
  '008_cases': cases,
  '009_about': about,
  '010_reference': reference,
  '011_clay': clay,
  '012_wall_layers': wallLayers,
  '013_names': names,
  '014_pieces_counted': piecesCounted,
  '015_seen_only': seenOnly,
  '016_photos': photos,
  '017_people': groups,
  '018_studio': studio,
  '019_series': series,
  '020_areas': areas,
  '021_ware': ware,
  '022_sheet': sheet,
  '023_again': again,
  '024_judgement': judgement,
  '025_coneless': coneless,
  '026_notes_about': notesAbout,
  '027_group_of_piece': groupOfPiece,
  '028_measured_again': measuredAgain,
};

const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: () => Promise.resolve(Object.keys(MIGRATIONS)),
  getMigrationName: (name) => name,
  getMigration: (name) => Promise.resolve(MIGRATIONS[name]!),
};

/** Brings the schema up to date; returns the names of the steps that ran, none when it was. */
export async function migrate(base: Db): Promise<string[]> {
  const [, ran] = (await base.migrate.latest({ migrationSource })) as [number, string[]];
  return ran;
}

/** Takes every step back: an empty database is left. */
export async function unmigrate(base: Db): Promise<void> {
  await base.migrate.rollback({ migrationSource }, true);
}

/** Takes steps back until one of that name is the newest. */
export async function unmigrateTo(base: Db, name: string): Promise<void> {
  const after = Object.keys(MIGRATIONS).filter((one) => one > name);
  for (const _ of after) await base.migrate.down({ migrationSource });
}
