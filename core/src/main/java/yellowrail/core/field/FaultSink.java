package yellowrail.core.field;

import yellowrail.core.finding.Finding;

/** Where faults are noted, field by field. */
@FunctionalInterface
public interface FaultSink {

    void add(String field, Finding fault);
}
