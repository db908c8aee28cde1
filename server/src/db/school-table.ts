/** Every table of a school: its key starts with the school, and row-level security keeps it there. */
export const schoolTable = (name: string, columns: string): string => `
  create table ${name} (
    school_id uuid not null references schools (id),
    id uuid not null,
    ${columns},
    primary key (school_id, id)
  );
  alter table ${name} enable row level security;
  create policy own_school on ${name} to skelby_app
    using (school_id = nullif(current_setting('skelby.school', true), '')::uuid)
    with check (school_id = nullif(current_setting('skelby.school', true), '')::uuid);`;

/** A reference that cannot leave the school. */
export const refers = (column: string, table: string): string =>
  `foreign key (school_id, ${column}) references ${table} (school_id, id)`;
