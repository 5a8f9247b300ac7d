/**
 * Backups, and what is brought back from them. A backup is one file ({@link yellowrail.web.keeping.BackupFile}): what
 * PostgreSQL writes of itself, and beside it a {@link yellowrail.web.keeping.Manifest} that tells what must be in it.
 * {@link yellowrail.web.keeping.Backups} keeps the automatic ones, {@link yellowrail.web.keeping.Restore} brings one
 * back beside what is there and takes its place when it is verified; {@link yellowrail.web.keeping.KeepingCommand} is
 * all of it from the terminal.
 */
package yellowrail.web.keeping;
