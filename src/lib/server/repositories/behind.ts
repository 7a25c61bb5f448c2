/**
 * The condition that the derived rows of a job (`job`, with its line as `l` and its engine as `e`) are behind its log, its
 * data sheet or the core. Nothing but names of this folder's own statements goes in.
 */
export const behind = (job: 'j' | 'o', coreVersion: `$${number}`): string =>
  `(l.job_id IS NULL OR l.through_seq <> ${job}.last_seq OR l.core_version <> ${coreVersion} OR l.through_sheet <> e.sheet_version)`;
