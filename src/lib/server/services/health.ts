import { databaseAnswers } from '../db/client';

/** Whether the server can do its work: its database answers. */
export const isWell = (): Promise<boolean> => databaseAnswers();
