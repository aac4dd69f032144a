export const MODELS = Symbol('models');
