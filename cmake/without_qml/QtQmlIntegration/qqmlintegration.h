// Qt TextToSpeech names its types for QML; Debian has the header for that in qt6-declarative-dev, with all of Qt
// Declarative. Nobody here speaks QML: the names mean nothing.
#pragma once
#define QML_ELEMENT
#define QML_VALUE_TYPE(name)
#define QML_NAMED_ELEMENT(name)
#define QML_UNCREATABLE(reason)
#define QML_ANONYMOUS
#define QML_FOREIGN(type)
#define QML_ADDED_IN_VERSION(major, minor)
