/** One field of a sheet: what is not printed is left empty, what does not fit is said beside it. */
import { Button, Checkbox, CloseButton, Select, Textarea, TextInput } from '@mantine/core';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { at, textOf, withAt, type Json } from '@orthochrom/contract/sheet/byPath.ts';
import type { SheetDraft } from './sheetDraft.ts';
import type { Field, Option } from './sheetFields.ts';
import { Ends, Figure, Plain, Toggles } from './sheetInputs.tsx';
import styles from './SheetForm.module.css';

type SheetFieldProps = {
  field: Field;
  /** With the number of the recipe that is shown. */
  path: string;
  draft: SheetDraft;
  products: readonly Sheet[];
  faults: ReadonlyMap<string, string>;
  onChange: (draft: SheetDraft) => void;
};

export function SheetField({ field, path, draft, products, faults, onChange }: SheetFieldProps) {
  const value = at(draft, path);
  const set = (next: Json, where = path) => onChange(withAt(draft, where, next));
  // A field that is empty is not wrong until the sheet is issued: it is listed as missing.
  const fault = value === undefined || value === '' ? undefined : faultAt(faults, path);
  const shared = { label: field.label, ...(fault ? { error: fault } : {}) };
  const optionsOf = (options: Option[] | ((of: readonly Sheet[]) => Option[])) =>
    (typeof options === 'function' ? options(products) : options).map(([code, word]) => ({
      value: code,
      label: word,
    }));
  switch (field.kind) {
    case 'text':
      return (
        <TextInput
          {...shared}
          value={textOf(value)}
          maxLength={200}
          onChange={(event) => set(event.currentTarget.value)}
        />
      );
    case 'date':
      return (
        <TextInput
          {...shared}
          type="date"
          value={textOf(value)}
          onChange={(event) => set(event.currentTarget.value)}
        />
      );
    case 'lines':
      return (
        <Textarea
          {...shared}
          value={Array.isArray(value) ? value.map(textOf).join('\n') : ''}
          onChange={(event) => set(event.currentTarget.value.split('\n'))}
        />
      );
    case 'yesNo':
      return (
        <Checkbox
          size="lg"
          label={field.label}
          checked={value === true}
          onChange={(event) => set(event.currentTarget.checked || undefined)}
        />
      );
    case 'choice':
      return (
        <Select
          {...shared}
          clearable
          searchable
          placeholder="not printed"
          value={typeof value === 'string' ? value : null}
          data={optionsOf(field.options)}
          onChange={(picked) => set(picked ?? undefined)}
        />
      );
    case 'many':
      return (
        <Toggles
          label={field.label}
          fault={fault}
          options={optionsOf(field.options)}
          picked={Array.isArray(value) ? value.map(textOf) : []}
          onPick={set}
        />
      );
    case 'figure':
      return (
        <Figure
          label={field.label}
          fault={fault}
          {...{ field, value }}
          onFigure={(figure) => set(figure)}
        />
      );
    case 'band':
      return (
        <Ends label={field.label} fault={fault}>
          {[0, 1].map((end) => (
            <Figure
              key={end}
              label={end === 0 ? 'from' : 'to'}
              field={field}
              value={at(draft, `${path}.${end}`)}
              onFigure={(figure) => set(figure, `${path}.${end}`)}
            />
          ))}
        </Ends>
      );
    case 'number':
      return (
        <Plain {...shared} suffix={field.suffix} value={value} onFigure={(figure) => set(figure)} />
      );
    case 'numberBand':
      return (
        <Ends label={field.label} fault={fault}>
          {[0, 1].map((end) => (
            <Plain
              key={end}
              label={end === 0 ? 'from' : 'to'}
              suffix={field.suffix}
              value={at(draft, `${path}.${end}`)}
              onFigure={(figure) => set(figure, `${path}.${end}`)}
            />
          ))}
        </Ends>
      );
    case 'numbers':
      return (
        <TextInput
          {...shared}
          description={`in ${field.suffix}, with spaces between`}
          defaultValue={Array.isArray(value) ? value.map(textOf).join(' ') : ''}
          onChange={(event) =>
            set(
              event.currentTarget.value
                .split(/[\s,;]+/)
                .filter(Boolean)
                .map(Number),
            )
          }
        />
      );
    case 'rows':
      return (
        <Rows
          {...{ draft, products, faults, onChange, path }}
          rows={Array.isArray(value) ? value : []}
          field={field}
        />
      );
  }
}

/** The fault at a path or below it. */
const faultAt = (faults: ReadonlyMap<string, string>, path: string): string | undefined =>
  [...faults].find(([where]) => where === path || where.startsWith(`${path}.`))?.[1];

type RowsProps = Omit<SheetFieldProps, 'field'> & {
  field: Extract<Field, { kind: 'rows' }>;
  rows: Json[];
};
function Rows({ field, rows, path, draft, products, faults, onChange }: RowsProps) {
  const keep = (next: Json[]) => onChange(withAt(draft, path, next));
  return (
    <fieldset className={styles['rows']}>
      <legend>{field.label}</legend>
      {rows.map((_, i) => (
        <div key={i} className={styles['row']}>
          {field.of.map((inner) => (
            <SheetField
              key={inner.path}
              field={inner}
              path={`${path}.${i}.${inner.path}`}
              {...{ draft, products, faults, onChange }}
            />
          ))}
          <CloseButton
            size="xl"
            aria-label={`Take line ${i + 1} of ${field.label} off`}
            onClick={() => keep(rows.filter((_row, k) => k !== i))}
          />
        </div>
      ))}
      <Button variant="default" onClick={() => keep([...rows, { ...field.blank }])}>
        Another line
      </Button>
    </fieldset>
  );
}
