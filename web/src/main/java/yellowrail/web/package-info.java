/** The application around the core: one package per feature. {@link yellowrail.web.YellowRail} starts it. */
package yellowrail.web;
