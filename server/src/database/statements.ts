/** All SQL, read from its files once at start: a missing statement stops the start, not the first request. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..', '..', 'sql');

const names = [
  'catalogue/insertModel',
  'catalogue/listModels',
  'customers/findCustomer',
  'customers/insertCustomer',
  'customers/listCustomers',
  'jobs/closeJob',
  'jobs/findJob',
  'jobs/findOpenJob',
  'jobs/insertJob',
  'jobs/insertJobModel',
  'jobs/insertPlanChange',
  'jobs/listFloorLines',
  'jobs/listJobsOfQuad',
  'jobs/listJobsWithModel',
  'jobs/listLateActs',
  'jobs/listPlanChanges',
  'jobs/listViewStamps',
  'jobs/lockJob',
  'jobs/saveView',
  'jobs/updatePlan',
  'lists/findList',
  'lists/insertList',
  'parts/findOrigin',
  'parts/findPart',
  'parts/findSerial',
  'parts/findTakenOff',
  'parts/giveBack',
  'parts/insertPart',
  'parts/insertPartNote',
  'parts/listPartNotes',
  'parts/listParts',
  'parts/placePart',
  'parts/restorePart',
  'parts/returnPart',
  'parts/setCondition',
  'parts/updatePart',
  'people/countPeople',
  'people/findAnybody',
  'people/findPersonByName',
  'people/findSecret',
  'people/insertPerson',
  'people/listLeads',
  'people/listPeople',
  'people/reinstatePerson',
  'people/retirePerson',
  'people/setSecret',
  'pictures/findPicture',
  'pictures/insertPicture',
  'quads/findQuad',
  'quads/insertQuad',
  'quads/listQuads',
  'quads/listQuadsOf',
  'quads/lockQuad',
  'quads/updateLogSeq',
  'records/findCorrected',
  'records/findRecord',
  'records/insertRecord',
  'records/listRecords',
  'session/deleteExpired',
  'session/deleteOtherSessions',
  'session/deletePersonSessions',
  'session/deleteSession',
  'session/findHand',
  'session/findSession',
  'session/insertDevice',
  'session/insertHand',
  'session/insertSession',
  'shop/findSetting',
  'shop/insertSetting',
  'stock/findMove',
  'stock/findStockByKey',
  'stock/findStock',
  'stock/insertStock',
  'stock/insertStockMove',
  'stock/listMovesOfRecord',
  'stock/listStock',
  'stock/listStockMoves',
  'stock/lockStock',
  'stock/moveStock',
  'templates/findTemplate',
  'templates/insertTemplate',
  'templates/listTemplates',
  'tools/findTool',
  'tools/insertTool',
  'tools/listTools',
  'tools/takeUp',
] as const;

export type StatementName = (typeof names)[number];

const statements = Object.fromEntries(
  names.map((name) => [name, withoutComments(readFileSync(join(root, `${name}.sql`), 'utf8'))]),
) as Record<StatementName, string>;

/** An apostrophe in a comment would hide the parameters after it from the placeholder parser. */
function withoutComments(sql: string): string {
  return sql.replace(/^--.*$/gm, '').trim();
}

/** The text of a statement, with its named parameters. */
export function statement(name: StatementName): string {
  return statements[name];
}

/** Files that no name above stands for: dead SQL, which a test refuses. */
export function strayFiles(): string[] {
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.sql'));
  return files.map((file) => file.replace(/\.sql$/, '')).filter((file) => !names.includes(file as StatementName));
}
