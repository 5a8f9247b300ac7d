/**
 * The data folder and the database server in it. {@link yellowrail.web.postgres.DataFolder} sees to it that only one
 * application works on a folder; {@link yellowrail.web.postgres.PrivatePostgres} runs a PostgreSQL server of our own on
 * the cluster there, which {@link yellowrail.web.postgres.ClusterFolder} holds and
 * {@link yellowrail.web.postgres.ClusterMaker} makes. What cannot start says why in one sentence, with the remedy:
 * {@link yellowrail.web.postgres.CannotStartException}.
 */
package yellowrail.web.postgres;
