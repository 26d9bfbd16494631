export function migrate(ownerUrl: string, appUrl: string, folder?: string): Promise<void>;
