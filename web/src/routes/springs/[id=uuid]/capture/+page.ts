/** Driven by what the tester sends to this browser. */
export const ssr = false;
