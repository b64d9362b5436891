export const ACTION_SCHEMAS = {};
