/** Stands for what the framework gives to pages, for tests without it: nothing is gone to. */
export const goto = () => Promise.resolve();
export const invalidateAll = () => Promise.resolve();
export const applyAction = () => Promise.resolve();
export const deserialize = (text: string): unknown => JSON.parse(text);
export const page = { url: new URL('http://shop/'), data: {} };
