package yellowrail.web.database;

import org.apache.ibatis.session.SqlSessionFactory;
import org.mybatis.spring.MyBatisExceptionTranslator;
import org.mybatis.spring.SqlSessionTemplate;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.SQLStateSQLExceptionTranslator;

/**
 * What the database says of a failure, told by the standard's codes. The translator that comes with the session asks
 * the database first which one it is, just when that may be gone.
 */
@Configuration
class Translation {

    @Bean
    SqlSessionTemplate sqlSession(SqlSessionFactory factory) {
        return new SqlSessionTemplate(
                factory,
                factory.getConfiguration().getDefaultExecutorType(),
                new MyBatisExceptionTranslator(SQLStateSQLExceptionTranslator::new, true));
    }
}
