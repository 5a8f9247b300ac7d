/**
 * An amp as one file, to give to a friend: its sheets, its runs as files of their own, the tubes that sit in it with
 * their tests. {@link yellowrail.web.parcel.AmpParcel} writes it, and reads one in as another amp under another name.
 */
package yellowrail.web.parcel;
