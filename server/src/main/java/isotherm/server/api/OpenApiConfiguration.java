package isotherm.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import isotherm.server.access.AccessDocuments;
import isotherm.server.access.Least;
import isotherm.server.access.Open;
import isotherm.server.archive.FileDocuments;
import isotherm.server.build.BuildDocuments;
import isotherm.server.build.LoggerKey;
import isotherm.server.care.CareDocuments;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.catalogue.Imported;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.demo.DemoGarage;
import isotherm.server.evidence.LogDocument;
import isotherm.server.evidence.LogReport;
import isotherm.server.garage.CarClass;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.PresetsDocument;
import isotherm.server.jobs.Desk;
import isotherm.server.jobs.Jobs;
import isotherm.server.logger.LoggerDocuments;
import isotherm.server.plumbing.Brackets;
import isotherm.server.plumbing.CorePartDocument;
import isotherm.server.plumbing.HoseDocuments;
import isotherm.server.plumbing.Panels;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.Plumbed;
import isotherm.server.plumbing.PlumbingPartDocuments;
import isotherm.server.plumbing.Spaces;
import isotherm.server.proof.Proof;
import isotherm.server.session.DutiesQuestions;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.Questions;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.WhatIfQuestions;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document, with ranges, units and descriptions taken from the documents' own annotations. */
@Configuration(proxyBeanMethods = false)
class OpenApiConfiguration {
    /** Least role of an operation. */
    private static final String ROLE = "x-role";

    static {
        // Who asks is found in the request, not in a parameter.
        SpringDocUtils.getConfig().addRequestWrapperToIgnore(Desk.Asker.class);
    }

    @Bean
    OpenAPI description() {
        return new OpenAPI()
                .info(new Info()
                        .title("Isotherm")
                        .version("1")
                        .description("Sizes and places an engine oil cooler. All figures are estimates."))
                .servers(List.of());
    }

    /** Who may ask, of every answer. */
    @Bean
    OperationCustomizer roles() {
        return (operation, method) -> {
            Least least = method.getMethodAnnotation(Least.class);
            if (least != null) {
                operation.addExtension(ROLE, least.value().name());
            } else if (method.hasMethodAnnotation(Open.class)) {
                operation.addExtension(ROLE, "ANYBODY");
            }
            return operation;
        };
    }

    @Bean
    OpenApiCustomizer ranges() {
        return api -> {
            api.setServers(null);
            var schemas = api.getComponents().getSchemas();
            Set<Class<?>> records = new HashSet<>();
            collect(CaseDocument.class, records);
            collect(OutcomeDocument.class, records);
            for (Class<?> holder : List.of(
                    Questions.class,
                    SearchQuestions.class,
                    EvidenceQuestions.class,
                    DutiesQuestions.class,
                    WhatIfQuestions.class,
                    DemoGarage.class,
                    Views.class,
                    BrokenController.class,
                    OutcomeDocument.class,
                    LogDocument.class,
                    CarClass.class,
                    CoreCatalogue.class,
                    PlumbingCatalogue.class,
                    Plumbed.class,
                    BuildDocuments.class,
                    CareDocuments.class,
                    FileDocuments.class,
                    Proof.class,
                    LoggerDocuments.class,
                    PlumbingPartDocuments.class,
                    HoseDocuments.class,
                    Brackets.class,
                    Panels.class,
                    Spaces.class,
                    AccessDocuments.class,
                    LinkController.class,
                    StateController.class,
                    Imported.class)) {
                collect(holder, records);
                for (Class<?> type : holder.getDeclaredClasses()) {
                    collect(type, records);
                }
            }
            collect(PlumbQuestion.class, records);
            collect(PresetsDocument.class, records);
            collect(CorePartDocument.class, records);
            collect(LoggerKey.class, records);
            collect(Jobs.JobView.class, records);
            collect(LogReport.class, records);
            collect(LogReport.LeftOut.class, records);
            for (Class<?> type : records) {
                Schema<?> schema = schemas.get(type.getSimpleName());
                if (schema != null) {
                    annotate(type, schema);
                }
            }
        };
    }

    private static void collect(Class<?> type, Set<Class<?>> records) {
        if (!type.isRecord() || !records.add(type)) {
            return;
        }
        for (RecordComponent c : type.getRecordComponents()) {
            collect(c.getType(), records);
            if (c.getGenericType() instanceof ParameterizedType p) {
                for (Type argument : p.getActualTypeArguments()) {
                    if (argument instanceof Class<?> element) {
                        collect(element, records);
                    }
                }
            }
        }
    }

    private static void annotate(Class<?> type, Schema<?> schema) {
        List<String> required = new ArrayList<>();
        for (RecordComponent c : type.getRecordComponents()) {
            Schema<?> property = schema.getProperties().get(c.getName());
            Missing missing = c.getAnnotation(Missing.class);
            if (missing == null) {
                required.add(c.getName());
            }
            Quantity q = c.getAnnotation(Quantity.class);
            Text t = c.getAnnotation(Text.class);
            StringBuilder description = new StringBuilder();
            if (q != null) {
                Schema<?> number = property.getItems() == null ? property : property.getItems();
                number.setMinimum(BigDecimal.valueOf(q.min()));
                number.setMaximum(BigDecimal.valueOf(q.max()));
                description.append(q.value()).append(q.unit().isEmpty() ? "" : ", " + q.unit());
            } else if (t != null) {
                description.append(t.value());
            }
            if (t != null && c.getType() == String.class) {
                property.setMinLength(t.min());
                property.setMaxLength(t.max());
            }
            if (t != null && c.getType() == List.class) {
                property.setMinItems(t.min());
                property.setMaxItems(t.max());
            }
            if (missing != null) {
                description.append("; when missing: ").append(missing.value());
            }
            if (property.get$ref() == null && !description.isEmpty()) {
                property.setDescription(description.toString());
            }
        }
        schema.setRequired(required);
        schema.setAdditionalProperties(false);
    }
}
