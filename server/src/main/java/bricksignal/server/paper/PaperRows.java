package bricksignal.server.paper;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The papers. */
interface PaperRows extends JpaRepository<Paper, UUID> {

    /** A paper without its file. */
    record Line(UUID id, @Nullable UUID unitId, String title, @Nullable String part, @Nullable Integer page, int pages, String type) {
    }

    /** Those of a unit and of its kind of board, by title. */
    @Query("select new bricksignal.server.paper.PaperRows$Line(p.id, p.unitId, p.title, p.part, p.page, p.pages, p.type) from Paper p "
            + "where p.unitId = :unit or p.overlayId = :overlay order by p.title, p.madeAt")
    List<Line> of(UUID unit, @Nullable UUID overlay);

    long countByUnitId(UUID unit);

    long countByOverlayId(UUID overlay);
}
