/** References that were not held to when facts were kept: written where what they name is there. */

/** Where facts of a type name others, as SQL. A question mark would be a parameter, so that paths have no filter. */
const NAMED = [
  { where: "fact.type = 'package'", id: "jsonb_path_query(fact.body, '$.items[*].grid') #>> '{}'" },
  { where: "fact.type = 'package'", id: "jsonb_path_query(fact.body, '$.items[*].surface.drawing') #>> '{}'" },
  { where: "fact.type = 'asBuilt'", id: "fact.body #>> '{against,drawing}'" },
  { where: "fact.type = 'site'", id: "jsonb_path_query(fact.body, '$.roles[*].member') #>> '{}'" },
  { where: "fact.type = 'position' and fact.body #>> '{target,kind}' = 'mark'", id: "fact.body #>> '{target,mark}'" },
  {
    where: "fact.type = 'position' and fact.body #>> '{target,kind}' = 'line'",
    id: "fact.body #>> '{target,package}'",
  },
] as const;

/** One statement; a filter on `fact` may be put behind it. */
export const insertLaterReferences = (where = 'true'): string => `insert into fact_reference (from_id, to_id)
  select distinct fact.id, target.id
  from fact
  cross join lateral (
    ${NAMED.map(({ where: of, id }) => `select ${id} as id where ${of}`).join(' union all ')}
  ) as named
  join fact as target on target.id::text = named.id and target.site_id = fact.site_id
  where ${where}
  on conflict do nothing`;
