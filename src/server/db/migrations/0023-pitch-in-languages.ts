import type { Migration } from './migration'

/** What a package is for was one sentence, in the shop's own language. */
export const pitchInLanguages: Migration = {
  name: '0023-pitch-in-languages',
  statements: [
    `UPDATE shop SET setup = json_set(setup, '$.packages', (
       SELECT json_group_array(
         json_set(value, '$.pitch', json_object(
           coalesce(json_extract(setup, '$.region.language'), 'en'), json_extract(value, '$.pitch')
         ))
       )
       FROM json_each(setup, '$.packages')
     ))
     WHERE json_type(setup, '$.packages[0].pitch') = 'text'`,
  ],
}
