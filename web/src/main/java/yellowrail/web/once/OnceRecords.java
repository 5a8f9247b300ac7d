package yellowrail.web.once;

import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Stores the number of what a page has sent in the very transaction that stores what it is. */
@Component
class OnceRecords implements TransactionExecutionListener {

    private final ObjectProvider<Once> once;

    OnceRecords(ObjectProvider<Once> once) {
        this.once = once;
    }

    @Override
    public void afterBegin(TransactionExecution transaction, Throwable failure) {
        if (failure == null && !transaction.isReadOnly()) {
            sent().ifPresent(sent -> TransactionSynchronizationManager.registerSynchronization(storing(sent)));
        }
    }

    private TransactionSynchronization storing(Sent sent) {
        return new TransactionSynchronization() {
            @Override
            public void beforeCommit(boolean readOnly) {
                sent.number().ifPresent(number -> take(number, sent.again()));
                sent.storing();
            }

            @Override
            public void afterCommit() {
                sent.stored();
            }
        };
    }

    /**
     * A page that was gone back to may send anew what it sent before; what is sent again for want of an answer is not
     * new.
     */
    private void take(String number, boolean again) {
        boolean taken = once.getObject().take(number);
        if (again && !taken && once.getObject().isTaken(number)) {
            throw new StoredAlreadyException();
        }
    }

    private static Optional<Sent> sent() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes
                ? Sent.of(attributes.getRequest())
                : Optional.empty();
    }
}
