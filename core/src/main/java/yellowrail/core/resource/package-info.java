/**
 * The files that ship beside the classes that need them: {@link yellowrail.core.resource.CsvResource} and
 * {@link yellowrail.core.resource.TextResource}.
 */
package yellowrail.core.resource;
