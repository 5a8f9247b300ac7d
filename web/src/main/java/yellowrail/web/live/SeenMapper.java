package yellowrail.web.live;

import org.apache.ibatis.annotations.Mapper;

@Mapper
interface SeenMapper {

    /** The first transaction that whoever asks now may not see yet; all before it are seen. */
    long notSeenFrom();
}
