/**
 * The policy of these pages lets no program be made of a string. What checks input would try at
 * every load and be refused aloud; told so before the first schema is made, it does not.
 */
Object.assign(globalThis, { __zod_globalConfig: { jitless: true } });
