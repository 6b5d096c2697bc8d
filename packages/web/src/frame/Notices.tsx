/** What is said for a moment, in the corner. */
import '@mantine/notifications/styles.css';
import { Notifications } from '@mantine/notifications';

export const Notices = () => <Notifications position="bottom-right" />;
