/** The curves are worked out in the browser. */
export const ssr = false;
