import type { HandleClientError } from '@sveltejs/kit';

/** What browsers say when a request or a script does not come through. */
const NO_CONNECTION = /fetch|network|load|import/i;

/** Tells a missing connection from a fault of ours: the page then says what the device can show. */
export const handleError: HandleClientError = ({ error, message }) => {
	if (!navigator.onLine || (error instanceof TypeError && NO_CONNECTION.test(error.message)))
		return { message: 'There is no connection.', offline: true };
	// The browser shows it as it shows any error of a page.
	reportError(error);
	return { message };
};
