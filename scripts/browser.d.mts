export declare const CHROMIUM: { executablePath: string; args: string[] };
