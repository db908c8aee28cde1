import type { Knex } from 'knex';

/** Sandboxes that nobody has opened anew for so long are thrown away. */
const KEPT = '90 days';

/**
 * A sandbox is a school of made-up people that belongs to one account of a real one. It opens from there alone: nobody
 * signs in to it, and it is thrown away whole when it is begun anew.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table schools
      add column sandbox_of uuid,
      add column sandbox_made_at timestamptz,
      add column sandbox_settled boolean not null default false;
    grant select (sandbox_of) on schools to skelby_app;
    create unique index schools_one_sandbox on schools (sandbox_of) where sandbox_of is not null;

    create or replace function accounts_by_email(wanted text)
      returns table (school_id uuid, account_id uuid, name text, password_hash text, school_name text)
      language sql stable security definer set search_path = public, pg_temp as
      $body$ select a.school_id, a.id, a.name, a.password_hash, s.name
             from accounts a join schools s on s.id = a.school_id
             where a.email = wanted and a.ended_at is null and s.sandbox_of is null order by s.name, s.id $body$;

    create or replace function refuse_change() returns trigger language plpgsql as $body$
    begin
      if current_user = (select r.rolname from pg_class c join pg_roles r on r.oid = c.relowner where c.oid = tg_relid)
        and (tg_op = 'UPDATE' and current_setting('skelby.forgetting', true) = 'on'
          or tg_op = 'DELETE' and current_setting('skelby.sweeping', true) = 'on') then
        return null;
      end if;
      raise exception 'History is only ever added to: % cannot be changed or deleted.', tg_table_name;
    end $body$;

    -- Throws a sandbox away. Tables refer to each other: what is still referred to waits for the next round.
    create function sweep_sandbox(wanted uuid) returns void language plpgsql set search_path = public, pg_temp as $body$
    declare
      place record;
      waits integer;
    begin
      if not exists (select 1 from schools where id = wanted and sandbox_of is not null) then return; end if;
      perform set_config('skelby.sweeping', 'on', true);
      for round in 1..20 loop
        waits := 0;
        for place in
          select c.relname as of_table from pg_class c
            join pg_attribute a on a.attrelid = c.oid and a.attname = 'school_id' and not a.attisdropped
           where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace
        loop
          begin
            execute format('delete from %I where school_id = $1', place.of_table) using wanted;
          exception when foreign_key_violation then waits := waits + 1;
          end;
        end loop;
        exit when waits = 0;
      end loop;
      delete from schools where id = wanted;
      perform set_config('skelby.sweeping', 'off', true);
    end $body$;

    -- The sandbox of an account of the school that asks; made where there is none, or where it is to be begun anew.
    create function open_sandbox(by_account uuid, new_school uuid, new_account uuid, anew boolean)
      returns table (school_id uuid, account_id uuid, made boolean)
      language plpgsql security definer set search_path = public, pg_temp as $body$
    #variable_conflict use_column
    declare
      own_school constant uuid := nullif(current_setting('skelby.school', true), '')::uuid;
      there uuid;
      old uuid;
    begin
      perform 1 from accounts a join schools s on s.id = a.school_id
        where a.school_id = own_school and a.id = by_account and a.ended_at is null and a.role <> 'pilot'
          -- Two at once wait for each other; signing in, which refers to the account, waits for neither.
          and s.sandbox_of is null for no key update of a;
      if not found then
        raise exception 'A sandbox is of an account of a school.' using errcode = 'insufficient_privilege';
      end if;
      select id into there from schools where sandbox_of = by_account;
      if there is not null and not anew then
        return query select there, a.id, false from accounts a where a.school_id = there;
        return;
      end if;
      perform sweep_sandbox(there);
      for old in select id from schools where sandbox_made_at < now() - interval '${KEPT}' loop
        perform sweep_sandbox(old);
      end loop;
      insert into schools (id, name, sandbox_of, sandbox_made_at) values (new_school, 'Sandbox', by_account, now());
      -- No password opens it.
      insert into accounts (school_id, id, name, email, password_hash, role)
        select new_school, new_account, a.name, a.email, '', 'owner' from accounts a
        where a.school_id = own_school and a.id = by_account;
      return query select new_school, new_account, true;
    end $body$;

    -- Its season is written down in one go; in the story everything came in as it was flown. Once, and in a sandbox alone.
    create function settle_sandbox() returns void
      language plpgsql security definer set search_path = public, pg_temp as $body$
    declare
      own_school constant uuid := nullif(current_setting('skelby.school', true), '')::uuid;
    begin
      update schools set sandbox_settled = true
        where id = own_school and sandbox_of is not null and not sandbox_settled;
      if not found then
        raise exception 'Only the season of a sandbox is settled, once.' using errcode = 'insufficient_privilege';
      end if;
      update reps set recorded_at = flown_at where school_id = own_school;
      perform set_config('skelby.forgetting', 'on', true);
      update moves set recorded_at = at where school_id = own_school;
      perform set_config('skelby.forgetting', 'off', true);
    end $body$;

    revoke all on function sweep_sandbox(uuid), open_sandbox(uuid, uuid, uuid, boolean), settle_sandbox() from public;
    grant execute on function open_sandbox(uuid, uuid, uuid, boolean), settle_sandbox() to skelby_app;
  `);
}

export async function down(): Promise<void> {
  throw new Error('This step is not taken back: restore a backup instead.');
}
