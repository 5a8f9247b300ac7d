/** A made-up workshop to look around in: {@link yellowrail.web.demo.DemoData} fills an empty database with it. */
package yellowrail.web.demo;
