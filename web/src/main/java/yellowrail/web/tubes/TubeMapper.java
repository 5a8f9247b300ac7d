package yellowrail.web.tubes;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface TubeMapper {

    List<String> own();

    void save(@Param("name") String name, @Param("type") String type);
}
