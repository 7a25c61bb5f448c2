/** In place of the framework's forms: nothing is sent, what a form holds is what a test looks at. */
export const enhance = (): { destroy: () => void } => ({ destroy: () => {} });
