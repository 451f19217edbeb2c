import type Joi from 'joi';
import { inspectionSchema } from '../model/job/inspection.schema';
import { ENTRY_KINDS, ENTRY_SCHEMAS } from '../model/log/entry.schema';

type Json = { [key: string]: unknown };
type Rule = { name: string; args?: { limit?: number; base?: number } };
/** The part of Joi's own description that these schemas use. */
type Described = {
  type?: string;
  flags?: { presence?: string; only?: boolean };
  allow?: unknown[];
  rules?: Rule[];
  keys?: Record<string, Described>;
  items?: Described[];
};

/** Texts that Joi checks by a function, which a description cannot carry. */
const PATTERNS: Record<string, string> = {
  at: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}(:\\d{2}(\\.\\d{1,9})?)?(Z|[+-]\\d{2}:\\d{2})$',
  scheduledFor: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}(:\\d{2}(\\.\\d{1,9})?)?(Z|[+-]\\d{2}:\\d{2})$',
  inspectionPeriodEndsOn: '^\\d{4}-\\d{2}-\\d{2}$',
  inspectionPeriodEndsAt: '^\\d{2}:\\d{2}$',
};

const RULES: Record<string, (rule: Rule, type: string) => Json> = {
  min: ({ args }, type) => ({
    [{ string: 'minLength', array: 'minItems' }[type] ?? 'minimum']: args?.limit,
  }),
  max: ({ args }, type) => ({
    [{ string: 'maxLength', array: 'maxItems' }[type] ?? 'maximum']: args?.limit,
  }),
  greater: ({ args }) => ({ exclusiveMinimum: args?.limit }),
  multiple: ({ args }) => ({ multipleOf: args?.base }),
  integer: () => ({ type: 'integer' }),
};

function convert(described: Described, key = ''): Json {
  const { type = 'any', flags = {}, allow = [], rules = [], keys, items } = described;
  if (flags.only) return { enum: allow };
  const base: Json = type === 'any' ? {} : { type };
  for (const rule of rules) Object.assign(base, RULES[rule.name]?.(rule, type) ?? {});
  if (allow.includes(null) && base['type']) base['type'] = [base['type'], 'null'];
  // Joi allows the empty text apart from its rules on length.
  if (type === 'string' && !allow.includes('') && base['minLength'] === undefined)
    base['minLength'] = 1;
  if (PATTERNS[key]) base['pattern'] = PATTERNS[key];
  if (keys) {
    base['properties'] = Object.fromEntries(
      Object.entries(keys).map(([name, inner]) => [name, convert(inner, name)]),
    );
    const required = Object.keys(keys).filter((name) => keys[name]!.flags?.presence === 'required');
    if (required.length > 0) base['required'] = required;
  }
  if (items?.[0]) base['items'] = convert(items[0]);
  return base;
}

const describeSchema = (schema: Joi.Schema, key?: string) => convert(schema.describe(), key);

/** The JSON Schema of the inspection file, made from the schemas that Chert itself checks by. */
export function inspectionJsonSchema(): Json {
  const file = describeSchema(inspectionSchema);
  const runs = (file['properties'] as Json)['runs'] as { items: { properties: Json } };
  runs.items.properties['entries'] = {
    type: 'array',
    items: { oneOf: ENTRY_KINDS.map((kind) => ({ $ref: `#/$defs/${kind}` })) },
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Chert inspection file, version 1',
    ...file,
    $defs: Object.fromEntries(
      ENTRY_KINDS.map((kind) => [kind, describeSchema(ENTRY_SCHEMAS[kind])]),
    ),
  };
}
