/** The page around a component that is looked at alone: nobody's name stands at its top. */
export const page: { data: Record<string, unknown> } = { data: { person: null } };
