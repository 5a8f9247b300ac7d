/**
 * What must be switched off, told on every page: {@link yellowrail.web.alarm.AlarmService} looks through the runs in
 * which something was read lately.
 */
package yellowrail.web.alarm;
