/**
 * Who comes into the cluster: nobody over the network, and over its socket, which lies in a private
 * folder, only the user that the shop runs as. The application is no superuser.
 */
import { writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { asDatabaseUser, DATABASE_USER, isRoot, Plain, run } from './debian.mjs';

/** Made the cluster and owns it; the start script alone comes in as it. */
export const OWNER_ROLE = 'orthochrom';
export const APP_ROLE = 'orthochrom_app';
/** Names the socket's file; nothing listens on a port of this number. */
export const SOCKET_PORT = 5432;

/** PostgreSQL 15, 21.1 and 21.2: the system says who asks, and a map says as whom they come in. */
export function writeAccess(cluster, { isForTests }) {
  const user = os.userInfo().username;
  const owner = isRoot ? DATABASE_USER : user;
  const map = [[owner, OWNER_ROLE], [user, APP_ROLE], ...(isForTests ? [[user, OWNER_ROLE]] : [])];
  const write = (name, text) => {
    const file = path.join(cluster, name);
    writeFileSync(file, text, { mode: 0o600 });
    if (isRoot) run('chown', [DATABASE_USER, file]);
  };
  write('pg_hba.conf', 'local all all peer map=shop\n');
  write('pg_ident.conf', `${map.map((row) => `shop ${row.join(' ')}`).join('\n')}\n`);
}

/** Whatever is in the database, also from before there was this role, belongs to the application. */
const GIVE = `
do $$
declare thing record;
begin
  if not exists (select from pg_roles where rolname = '${APP_ROLE}') then
    create role ${APP_ROLE} login nosuperuser nocreatedb nocreaterole;
  end if;
  execute format('alter database %I owner to ${APP_ROLE}', current_database());
  alter schema public owner to ${APP_ROLE};
  for thing in
    select c.relname as name, c.relkind as kind from pg_class c
    join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = 'public' and c.relkind in ('r', 'S', 'v')
      and pg_get_userbyid(c.relowner) <> '${APP_ROLE}'
      and not exists (select from pg_depend d where d.objid = c.oid and d.deptype = 'a' and c.relkind = 'S')
  loop
    execute format('alter %s public.%I owner to ${APP_ROLE}',
      case thing.kind when 'S' then 'sequence' when 'v' then 'view' else 'table' end, thing.name);
  end loop;
end $$;`;

export function giveToApp(psql, at, name) {
  const given = asDatabaseUser(psql, [
    ...at,
    '-d',
    name,
    '-v',
    'ON_ERROR_STOP=1',
    '-q',
    '-c',
    GIVE,
  ]);
  if (!given.ok) throw new Plain(`The database ${name} could not be made ready: ${given.out}`);
}
