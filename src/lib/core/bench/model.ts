/** Version of the parameters and methods behind every computed figure; stands on each decision that used one. */
export const MODEL_VERSION = 'models 2026.3';
