/** What the words of the trade mean, touched where they stand or read through; with a drawing where one helps. */
package yellowrail.web.glossary;
