package yellowrail.web.database;

import org.mybatis.spring.mapper.MapperFactoryBean;
import org.springframework.beans.factory.aot.BeanRegistrationExcludeFilter;
import org.springframework.beans.factory.support.RegisteredBean;

/**
 * Leaves the mappers out of what is settled when the application is built: they belong to their packages alone, which
 * code made for all of them cannot name. They are found when it starts.
 */
class MappersWhenItStarts implements BeanRegistrationExcludeFilter {

    @Override
    public boolean isExcludedFromAotProcessing(RegisteredBean bean) {
        return MapperFactoryBean.class.equals(bean.getBeanClass());
    }
}
