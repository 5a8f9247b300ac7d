package yellowrail.web;

import java.sql.Statement;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.apache.ibatis.session.ResultHandler;

/**
 * Counts the statements that reach the database, by every thread; what MyBatis answers from its own memory does not
 * count.
 */
@Intercepts({
    @Signature(
            type = StatementHandler.class,
            method = "query",
            args = {Statement.class, ResultHandler.class}),
    @Signature(
            type = StatementHandler.class,
            method = "queryCursor",
            args = {Statement.class}),
    @Signature(
            type = StatementHandler.class,
            method = "update",
            args = {Statement.class}),
    @Signature(
            type = StatementHandler.class,
            method = "batch",
            args = {Statement.class})
})
public final class QueryCount implements Interceptor {

    /** What is watched goes on beside every page, and is none of its statements. */
    private static final String WATCH = "watch";

    private final AtomicInteger statements = new AtomicInteger();

    @Override
    public Object intercept(Invocation invocation) throws Throwable {
        if (!Thread.currentThread().getName().equals(WATCH)) {
            statements.incrementAndGet();
        }
        return invocation.proceed();
    }

    /** How many it took. */
    public int during(Runnable work) {
        int before = statements.get();
        work.run();
        return statements.get() - before;
    }
}
