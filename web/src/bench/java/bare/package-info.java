/**
 * The least application that does what ours cannot do without: Spring Boot with a page, MyBatis, Flyway and PostgreSQL.
 * How long it takes to its first page is what our own start is held against.
 */
package bare;
