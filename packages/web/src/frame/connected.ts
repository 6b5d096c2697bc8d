/** Whether the server is heard; the frame says it to whatever stands in it. */
import { createContext, useContext } from 'react';

export const ConnectedContext = createContext(true);
export const useConnected = (): boolean => useContext(ConnectedContext);
