export declare const restrictions: readonly { selector: string; message: string }[];
