/** What the tables of several migrations have in common, as PostgreSQL wants it. */
export const EDITED = `version integer NOT NULL DEFAULT '1',
    created_at TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
    updated_at TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
    archived_at TIMESTAMP WITH TIME ZONE`;

export const foreignKey = (table: string, column: string, name: string, target: string): string =>
  `ALTER TABLE ${table} ADD CONSTRAINT "${table}_${name}_fkey" FOREIGN KEY (${column}) REFERENCES ${target}(id) ON DELETE NO ACTION ON UPDATE NO ACTION`;
