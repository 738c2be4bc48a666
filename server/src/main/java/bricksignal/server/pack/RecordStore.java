package bricksignal.server.pack;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Shelf;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes a composition ready: with the records of its runs where this engine made them before, and otherwise by running every fault,
 * some seconds, and keeping what that showed.
 */
@Component
class RecordStore {

    private static final Logger LOG = LoggerFactory.getLogger(RecordStore.class);

    private final PackRecordList records;
    private final TransactionTemplate transaction;

    RecordStore(PackRecordList records, TransactionTemplate transaction) {
        this.records = records;
        this.transaction = transaction;
    }

    /**
     * A unit made ready.
     *
     * @param digest names its text
     * @param model made of that text
     * @param shelf where what can be worked out again is held
     * @param progress told now and then which share of the work is done, 0 to 1
     */
    CompiledPack ready(String digest, UnitModel model, Shelf shelf, DoubleConsumer progress) {
        PackRecord known = kept(digest);
        if (known != null && known.engine().equals(PackLibrary.engine())) {
            try {
                return CompiledPack.of(model, ErrorModel.defaults(), shelf, known.content());
            } catch (IllegalArgumentException ofAnotherUnit) {
                LOG.warn("the records of {} do not fit it; it is run anew", digest, ofAnotherUnit);
            }
        }
        CompiledPack made = CompiledPack.of(model, ErrorModel.defaults(), shelf, progress);
        keep(digest, made.records());
        return made;
    }

    private @Nullable PackRecord kept(String digest) {
        try {
            return records.findById(digest).orElse(null);
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("the database is away; the unit is run anew", away);
            return null;
        }
    }

    private void keep(String digest, String text) {
        try {
            transaction.executeWithoutResult(status -> records.keep(digest, PackLibrary.engine(), text));
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("the database is away; the records are not kept", away);
        }
    }
}
