-- What was written on the tubes when a run was closed: later they sit elsewhere. Runs closed before show who sits there now.
CREATE TABLE run_label (
    run_id bigint NOT NULL REFERENCES bench_run (id),
    socket text   NOT NULL,
    label  text   NOT NULL,
    PRIMARY KEY (run_id, socket)
);
